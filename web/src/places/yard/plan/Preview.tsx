import type { Book, DayNumber, MachineBook, Task } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { reachMarks, reachScale } from "../../../ui/board/reachScale.js";
import { useWidth } from "../../../ui/useWidth.js";
import { fullDate } from "../../../words/format.js";
import { taskSentence } from "../../../words/taskWords.js";
import { turnsOf } from "./turnsOf.js";

/** Marks nearer to today than this, in pixels, would run into its name. */
const ROOM_FOR_TODAY = 48;

/** The rule of the task read back, and its next turns on the scale of the reach. */
export function Preview({
  task,
  problem,
  book,
  settings,
}: {
  readonly task: Task | null;
  readonly problem: string;
  readonly book: MachineBook;
  readonly settings: Book["settings"];
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const turns = useMemo(
    () => (task === null ? [] : turnsOf(task, book, settings, today)),
    [task, book, settings, today],
  );
  const names = new Map<string, string>(book.tasks.map(({ id, name }) => [id, name]));
  const { checklists } = book;
  const nameOf = (id: string): string => names.get(id) ?? id;
  const place = { machine: book.machines[0], nameOf, checklists };
  return (
    <section
      aria-labelledby="reads"
      aria-live="polite"
      className="space-y-3 lg:sticky lg:top-4 lg:self-start"
    >
      <h2 id="reads" className="text-large font-bold">
        It reads
      </h2>
      <p className="max-w-[48ch] text-large">
        {task === null ? <span className="text-quiet">{problem}</span> : taskSentence(task, place)}
        {task !== null &&
          task.regimes &&
          task.anchor !== "grid" &&
          " Counted from when it was last done."}
      </p>
      {task !== null && <NextTurns turns={turns} today={today} />}
    </section>
  );
}

function NextTurns({
  turns,
  today,
}: {
  readonly turns: readonly DayNumber[];
  readonly today: DayNumber;
}): ReactElement {
  const [element, width] = useWidth<HTMLDivElement>();
  const scale = reachScale(Math.max(width, 240));
  return (
    <div ref={element}>
      <h3 className="font-semibold">
        {turns.length === 0 ? "No date can be given" : "Its next turns, at the present pace"}
      </h3>
      {turns.length > 0 && width > 0 && (
        <svg width={scale.width} height="58" aria-hidden="true" className="text-[12px]">
          {reachMarks(scale)
            .filter(({ offset }) => scale.x(offset) - scale.todayX > ROOM_FOR_TODAY)
            .map(({ offset, label }) => (
              <text
                key={offset}
                x={scale.x(offset)}
                y="12"
                textAnchor={offset === scale.ahead ? "end" : "middle"}
                fill="var(--quiet)"
              >
                {label}
              </text>
            ))}
          <line
            x1={scale.todayX}
            x2={scale.todayX}
            y1="18"
            y2="56"
            stroke="var(--ink)"
            strokeWidth="2"
          />
          <text x={scale.todayX} y="12" textAnchor="middle" fontWeight="700" fill="var(--ink)">
            today
          </text>
          <line x1={scale.todayX} x2={scale.width} y1="37" y2="37" stroke="var(--rule)" />
          {turns.map((day) => {
            const x = scale.x(day - today);
            return <rect key={day} x={x - 2} y="26" width="4" height="22" fill="var(--clear)" />;
          })}
        </svg>
      )}
      <ol className="tabular-nums">
        {turns.map((day) => (
          <li key={day} className="border-t border-hairline py-1">
            {fullDate(day)}
          </li>
        ))}
      </ol>
    </div>
  );
}
