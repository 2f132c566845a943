import { ChevronLeft, ChevronRight, Undo2 } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { useAppSelector } from "../../session/store.js";
import { useUndo } from "../../session/useUndo.js";
import type { StepProps } from "./stepProps.js";

const SMALL =
  "flex min-h-12 items-center gap-1 rounded-[3px] border border-rule bg-raised px-3 font-medium hover:bg-wash disabled:opacity-40";

/** The foot of a step, by the thumb: back and on, what was pressed last taken back, and the one large action. */
export function StepFoot({
  state,
  step,
  onGo,
  children,
}: Pick<StepProps, "state" | "step" | "onGo"> & { readonly children: ReactNode }): ReactElement {
  const at = state.steps.findIndex(({ id }) => id === step.id);
  const before = state.steps[at - 1]?.id ?? null;
  const after = state.steps[at + 1]?.id ?? null;
  const last = useAppSelector((session) => session.undo.done.at(-1));
  const undo = useUndo();
  const toStep = (to: string | null, words: string, icon: ReactNode): ReactElement => (
    <button
      type="button"
      className={`${SMALL} ${words === "Back" ? "order-2 sm:order-none" : "order-4 ml-auto sm:order-none sm:ml-0"}`}
      disabled={to === null}
      onClick={() => to !== null && onGo(to)}
    >
      {words === "Back" && icon}
      {words}
      {words !== "Back" && icon}
    </button>
  );
  return (
    <div className="sticky bottom-0 z-10 -mx-7 mt-auto flex flex-wrap items-center gap-2 border-t-2 border-ink bg-ground px-7 py-3 max-sm:-mx-4 max-sm:px-4">
      {toStep(before, "Back", <ChevronLeft size={20} aria-hidden="true" />)}
      <div className="order-1 flex w-full gap-2 sm:order-none sm:w-auto sm:flex-1">{children}</div>
      {last !== undefined && (
        <button
          type="button"
          aria-label={`Undo: ${last.words}`}
          className={`${SMALL} order-3 min-w-0 flex-1 justify-center sm:hidden`}
          onClick={() => void undo("undo")}
        >
          <Undo2 size={18} aria-hidden="true" className="shrink-0" />
          <span className="truncate">Undo {last.words}</span>
        </button>
      )}
      {toStep(after, "On", <ChevronRight size={20} aria-hidden="true" />)}
    </div>
  );
}
