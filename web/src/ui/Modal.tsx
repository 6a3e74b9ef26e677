import clsx from "clsx";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { useJustOpened } from "./useJustOpened";

export function Modal({
  title,
  open,
  onClose,
  wide = false,
  quiet = false,
  children,
}: {
  title: string;
  open: boolean;
  onClose: () => void;
  wide?: boolean;
  /** Nothing in it is a space bar away: a pedal that bounces must not answer. */
  quiet?: boolean;
  children: ReactNode;
}) {
  const justOpened = useJustOpened(open);
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-deep/60" />
        <Dialog.Content
          aria-describedby={undefined}
          onInteractOutside={(event) => justOpened() && event.preventDefault()}
          onOpenAutoFocus={
            quiet
              ? (event) => {
                  event.preventDefault();
                  (event.currentTarget as HTMLElement).focus();
                }
              : undefined
          }
          className={clsx(
            "fixed top-1/2 left-1/2 z-50 max-h-[90vh] max-w-[94vw] -translate-1/2 overflow-auto rounded-lg border-2 border-ink bg-ground p-5",
            wide ? "w-[52rem]" : "w-[34rem]",
          )}
        >
          <Dialog.Title className="mb-3 text-2xl font-semibold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
