import { CircleAlert, CircleCheck, Undo2, X } from "lucide-react";
import { useEffect, useState, type ReactElement } from "react";
import { noticeClosed, type Notice } from "../session/session.js";
import { useAppDispatch, useAppSelector } from "../session/store.js";
import { useUndo } from "../session/useUndo.js";

const GOOD_MS = 6000;
const BAD_MS = 20000;
const ACTION =
  "flex min-h-10 min-w-10 shrink-0 items-center justify-center gap-1.5 px-2 hover:underline max-sm:min-h-12 max-sm:min-w-12";

/** The short notes at the edge of the screen; loaded with the first of them. */
export default function Notices(): ReactElement {
  const notices = useAppSelector((state) => state.session.notices);
  return (
    <section
      aria-label="Notes"
      aria-live="polite"
      // On a phone and at the machine what is pressed is at the bottom: there they stand at the top.
      className="fixed right-4 bottom-4 z-50 w-[min(30rem,calc(100vw-2rem))] max-sm:top-14 max-sm:bottom-auto print:hidden [body:has([data-at-the-machine])_&]:top-14 [body:has([data-at-the-machine])_&]:bottom-auto"
    >
      <ul className="flex flex-col gap-2">
        {notices.map((notice) => (
          <OneNotice key={notice.id} notice={notice} />
        ))}
      </ul>
    </section>
  );
}

/** A note goes by itself after a while, but not while it is pointed at or holds the focus. */
function OneNotice({ notice }: { readonly notice: Notice }): ReactElement {
  const dispatch = useAppDispatch();
  const undo = useUndo();
  const newest = useAppSelector((state) => state.undo.done.at(-1)?.seq ?? null);
  const [isHeld, setIsHeld] = useState(false);
  const { id, isGood, words, change } = notice;
  useEffect(() => {
    if (isHeld) return undefined;
    const timer = setTimeout(() => dispatch(noticeClosed(id)), isGood ? GOOD_MS : BAD_MS);
    return () => clearTimeout(timer);
  }, [dispatch, id, isGood, isHeld]);
  const takeBack = (): void => {
    dispatch(noticeClosed(id));
    void undo("undo");
  };
  return (
    <li
      onPointerEnter={() => setIsHeld(true)}
      onPointerLeave={() => setIsHeld(false)}
      onFocus={() => setIsHeld(true)}
      onBlur={() => setIsHeld(false)}
      className="flex items-center gap-3 rounded-[3px] border border-rule bg-raised py-1.5 pr-1.5 pl-4 text-ink"
    >
      {isGood ? (
        <CircleCheck size={20} aria-hidden="true" className="shrink-0 text-clear" />
      ) : (
        <CircleAlert size={20} aria-hidden="true" className="shrink-0 text-overdue" />
      )}
      <p className="min-w-0 flex-1 py-1.5">{words}</p>
      {change !== null && change === newest && (
        <button type="button" className={`${ACTION} text-clear`} onClick={takeBack}>
          <Undo2 size={18} aria-hidden="true" />
          Undo
        </button>
      )}
      <button
        type="button"
        className={`${ACTION} text-quiet`}
        aria-label="Close the note"
        onClick={() => dispatch(noticeClosed(id))}
      >
        <X size={18} aria-hidden="true" />
      </button>
    </li>
  );
}
