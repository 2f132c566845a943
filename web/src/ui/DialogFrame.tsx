import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import { useState, type ReactElement, type ReactNode } from "react";

const CARD =
  "top-[9vh] left-1/2 max-h-[86vh] w-[min(46rem,94vw)] -translate-x-1/2 rounded-[4px] border";
const SHEET = "inset-y-0 right-0 w-[min(62rem,100vw)] sm:border-l";

/** A dialog over the place one is at: titled, closed by Escape, by its button or by pressing beside it. */
export function DialogFrame({
  title,
  onClose,
  isSheet = false,
  children,
}: {
  readonly title: string;
  readonly onClose: () => void;
  /** Whether it stands at the right edge from top to foot, as something laid beside the place. */
  readonly isSheet?: boolean;
  readonly children: ReactNode;
}): ReactElement {
  const giveBack = useFocusBefore();
  return (
    <Dialog.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Dialog.Portal>
        {/* A plain veil: the library's own would set styles that the security policy refuses. */}
        <div className="fixed inset-0 z-30 bg-veil" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            giveBack();
          }}
          className={`fixed z-40 scroll-pb-24 overflow-y-auto border-rule bg-ground px-6 pt-5 pb-3 max-sm:px-4 ${isSheet ? SHEET : CARD}`}
        >
          <div className="flex items-center justify-between">
            <Dialog.Title className="text-large font-bold">{title}</Dialog.Title>
            <Dialog.Close className="flex min-h-10 items-center gap-1.5 px-2 text-quiet hover:text-ink">
              <X size={18} aria-hidden="true" />
              Close
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Gives the focus back to what had it before a dialog opened; where that is gone, to the page that stands there now. */
function useFocusBefore(): () => void {
  // Asked before anything in the dialog takes it.
  const [before] = useState(() => document.activeElement);
  return () => {
    const isThere = before instanceof HTMLElement && before !== document.body && before.isConnected;
    if (isThere) before.focus();
    if (isThere && document.activeElement === before) return;
    document.querySelector<HTMLElement>("main h1")?.focus({ preventScroll: true });
  };
}
