import { beginPath } from "../../words/beginPath.js";
import type { BoardMachine, DayNumber, TaskReckoning } from "@yonderfell/core";
import { lazy, memo, Suspense, type ReactElement } from "react";
import { taskOpened } from "../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { STATUS_WORD, stripSentence, type StripWords } from "../../words/statusWords.js";
import { Cairn } from "./Cairn.js";
import type { ReachScale } from "./reachScale.js";
import { RowLinks } from "./RowLinks.js";
import { ReachStrip } from "./ReachStrip.js";
import { stripOfTask } from "./strip.js";
import { WORD_INK } from "./wordInk.js";
import { useDrawnInTurn } from "../useDrawnInTurn.js";
import { again } from "../again.js";

/** Fetched with the first reasons that are asked for. */
const BecausePanel = lazy(again(() => import("./BecausePanel.js")));

interface StripRowProps {
  readonly task: TaskReckoning;
  readonly machine: BoardMachine;
  readonly scale: ReachScale;
  readonly today: DayNumber;
  /** On a narrow screen the words stand over the strip instead of in it. */
  readonly isNarrow: boolean;
  /** Whether it is drawn for paper, where nothing is pressed. */
  readonly isOnPaper?: boolean | undefined;
  /** Room over and under it, in pixels. */
  readonly before?: number;
  readonly after?: number;
  /** Its place in a long list, and what measures it there. */
  readonly index?: number | undefined;
  readonly measure?: ((element: Element | null) => void) | undefined;
}

/** One task of a bundle: its strip, which opens its reasons, and the way to log it. */
export const StripRow = memo(function StripRow(props: StripRowProps): ReactElement {
  const { task, machine, scale, today, isNarrow, before = 0, after = 0, index, measure } = props;
  const { isOnPaper = false } = props;
  const dispatch = useAppDispatch();
  const { id } = task.task;
  const isOpen = useAppSelector((state) => state.session.openTask === id);
  const panel = `because-${id}`;
  // Of a long board that is scrolled fast, strips in full would hold up the page: first their names.
  const isDrawn = useDrawnInTurn(measure !== undefined);
  return (
    <li ref={measure} data-index={index} style={{ paddingTop: before, paddingBottom: after }}>
      <div className={`flex hover:bg-wash ${isNarrow ? "items-start py-1" : "items-center"}`}>
        <button
          type="button"
          data-strip={id}
          aria-expanded={isOpen}
          aria-controls={isOpen ? panel : undefined}
          onClick={() => dispatch(taskOpened(id))}
          className={`min-w-0 flex-1 scroll-my-40 text-left ${isNarrow ? "block min-h-[76px]" : "flex min-h-[34px] items-center"}`}
        >
          {isDrawn ? (
            <StripInFull {...{ task, machine, scale, today, isNarrow }} />
          ) : (
            <span className="pl-[6.4rem] font-medium">{task.task.name}</span>
          )}
        </button>
        {isDrawn && !isOnPaper && (
          <RowLinks
            begin={beginPath(machine.machine.id, "task", id)}
            log={`/log/${encodeURIComponent(machine.machine.id)}?task=${encodeURIComponent(id)}`}
            what={`${task.task.name} on ${machine.machine.tag}`}
            isNarrow={isNarrow}
          />
        )}
      </div>
      {isOpen && !isOnPaper && (
        <Suspense>
          <BecausePanel id={panel} task={task} machine={machine} today={today} />
        </Suspense>
      )}
    </li>
  );
});

function StripInFull({
  task,
  machine,
  scale,
  today,
  isNarrow,
}: Pick<StripRowProps, "task" | "machine" | "scale" | "today" | "isNarrow">): ReactElement {
  const strip = stripOfTask(task, machine, today);
  return (
    <>
      <StripName task={task} isNarrow={isNarrow} words={strip.words} />
      {!isNarrow && <span className="sr-only">, {stripSentence(task, machine, today)}</span>}
      <ReachStrip strip={strip} scale={scale} today={today} hasWords={!isNarrow} />
    </>
  );
}

function StripName({
  task,
  words,
  isNarrow,
}: Pick<StripRowProps, "task" | "isNarrow"> & { readonly words: StripWords }): ReactElement {
  return (
    <span className={`flex items-center gap-2 ${isNarrow ? "flex-wrap" : "w-[22rem] shrink-0"}`}>
      <Cairn status={task.status} />
      <span className={`w-[4.25rem] shrink-0 text-fine ${WORD_INK[task.status]}`}>
        {STATUS_WORD[task.status]}
      </span>
      <span
        className={`min-w-0 font-medium ${isNarrow ? "flex-1" : "line-clamp-2 leading-[1.1]"}`}
        title={task.task.name}
      >
        {task.task.name}
      </span>
      {isNarrow && (
        <span className="w-full pl-[6.4rem] text-fine">
          <strong>{words.strong}</strong>{" "}
          <span className="whitespace-nowrap text-quiet">{words.rest}</span>
          {task.doubtful && <strong className="text-soon-text"> doubtful</strong>}
        </span>
      )}
    </span>
  );
}
