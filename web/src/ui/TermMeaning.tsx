import { Popover } from "radix-ui";
import type { ReactElement, RefObject } from "react";
import { sentence } from "../words/format.js";
import { MEANINGS, type MeaningWord } from "../words/meanings.js";

/** What a word means, beside it; Escape or a press elsewhere closes it, and the word has the focus again. */
export default function TermMeaning({
  word,
  anchor,
  onClose,
}: {
  readonly word: MeaningWord;
  readonly anchor: RefObject<HTMLButtonElement | null>;
  readonly onClose: () => void;
}): ReactElement {
  return (
    <Popover.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Popover.Anchor virtualRef={anchor} />
      <Popover.Portal>
        <Popover.Content
          aria-label={`What ${word} means`}
          sideOffset={6}
          collisionPadding={12}
          className="z-50 max-w-80 border-l-4 border-clear bg-raised px-4 py-3 text-ink shadow-lg"
          onInteractOutside={(event) => {
            // The word itself closes it by its own press.
            if (anchor.current?.contains(event.target as Node) === true) event.preventDefault();
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            anchor.current?.focus();
          }}
        >
          <strong>{sentence(word)}</strong>: {MEANINGS[word]}.
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
