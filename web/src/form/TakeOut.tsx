import { useState, type ReactElement } from "react";
import { QUIET_BUTTON } from "../ui/buttons.js";

/** Takes a record out, asked for twice. */
export function TakeOut({
  words = "It can be undone.",
  onTakeOut,
}: {
  /** What is to be known before it is done. */
  readonly words?: string;
  readonly onTakeOut: () => void;
}): ReactElement {
  const [isAsking, setIsAsking] = useState(false);
  if (!isAsking) {
    return (
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(true)}>
        Take it out
      </button>
    );
  }
  return (
    <>
      <span>{words}</span>
      <button type="button" className={QUIET_BUTTON} onClick={onTakeOut}>
        Yes, take it out
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(false)}>
        No
      </button>
    </>
  );
}
