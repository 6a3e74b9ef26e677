import clsx from "clsx";
import type { ButtonHTMLAttributes } from "react";

type Look = "plain" | "lamp" | "alarm" | "quiet";

const LOOKS: Record<Look, string> = {
  plain: "border-2 border-ink bg-sheet text-ink hover:bg-ground",
  lamp: "border-2 border-lamp bg-lamp font-semibold text-on-lamp hover:brightness-105",
  alarm: "border-2 border-alarm bg-sheet text-alarm hover:bg-ground",
  quiet: "border-2 border-transparent text-ink underline-offset-4 hover:underline",
};

/** A target for a gloved finger; one with a key says which. */
export function Button({
  look = "plain",
  shortcut,
  className,
  children,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look; shortcut?: string | undefined }) {
  return (
    <button
      type="button"
      aria-keyshortcuts={shortcut}
      className={clsx(
        "min-h-11 rounded-md px-4 py-1.5 text-left leading-tight disabled:opacity-55",
        LOOKS[look],
        className,
      )}
      {...rest}
    >
      {children}
      {shortcut && (
        <>
          {" "}
          <kbd aria-hidden className="digits rounded border border-current px-1.5 text-xs">
            {shortcut}
          </kbd>
        </>
      )}
    </button>
  );
}
