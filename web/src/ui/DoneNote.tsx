import { useEffect, useRef, type ReactElement } from "react";

/** What was done, in place of the form it was done with; it takes the focus that went with the form. */
export function DoneNote({ words }: { readonly words: string }): ReactElement | null {
  const note = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    if (words !== "") note.current?.focus();
  }, [words]);
  if (words === "") return null;
  return (
    <p ref={note} tabIndex={-1} className="text-large font-bold outline-none">
      {words}
    </p>
  );
}
