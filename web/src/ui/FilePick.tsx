import type { ReactNode } from "react";

/** A button that takes one file from the machine. */
export function FilePick({
  id,
  accept,
  onFile,
  children,
}: {
  id: string;
  accept: string;
  onFile: (file: File) => void;
  children: ReactNode;
}) {
  return (
    <label
      htmlFor={id}
      className="flex min-h-12 cursor-pointer items-center rounded-md border-2 border-ink bg-sheet px-4 focus-within:outline-3 focus-within:outline-offset-2"
    >
      {children}
      <input
        id={id}
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) {
            onFile(file);
          }
        }}
      />
    </label>
  );
}
