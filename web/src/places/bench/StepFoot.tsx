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
  return (
    <div className="sticky bottom-0 z-10 -mx-7 mt-auto border-t-2 border-ink bg-ground px-7 pt-3 pb-3 max-sm:-mx-4 max-sm:px-4">
      <div className="flex gap-2">{children}</div>
      <div className="mt-3 flex items-center gap-2">
        <button
          type="button"
          className={SMALL}
          disabled={before === null}
          onClick={() => before !== null && onGo(before)}
        >
          <ChevronLeft size={20} aria-hidden="true" />
          Back
        </button>
        {last !== undefined && (
          <button
            type="button"
            aria-label={`Undo: ${last.words}`}
            className={`${SMALL} min-w-0 flex-1 justify-center`}
            onClick={() => void undo("undo")}
          >
            <Undo2 size={18} aria-hidden="true" className="shrink-0" />
            <span className="truncate">Undo {last.words}</span>
          </button>
        )}
        <button
          type="button"
          className={`${SMALL} ml-auto`}
          disabled={after === null}
          onClick={() => after !== null && onGo(after)}
        >
          On
          <ChevronRight size={20} aria-hidden="true" />
        </button>
      </div>
    </div>
  );
}
