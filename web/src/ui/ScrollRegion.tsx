import clsx from "clsx";
import type { ReactNode } from "react";

/** What may be longer than the screen: it scrolls by itself, and a keyboard reaches it to do so. */
export function ScrollRegion({
  label,
  id,
  className,
  children,
}: {
  label: string;
  id?: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    <div
      id={id}
      className={clsx("min-h-0 flex-1 overflow-auto", className)}
      role="region"
      aria-label={label}
      // oxlint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
    >
      {children}
    </div>
  );
}
