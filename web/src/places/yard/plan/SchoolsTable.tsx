import type { MachineBook, MissingFigure, SchoolSum, SchoolTask, Task } from "@yonderfell/core";
import type { ReactElement } from "react";
import { counted, figure } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { limitsSentence } from "../../../words/taskWords.js";
import { AS_DONE, togetherOf } from "./schoolsWords.js";

const HEAD = "border-b border-rule py-2 pl-6 text-right font-semibold";
const CELL = "border-b border-hairline py-2 pl-6 text-right align-top tabular-nums";
const NAME = "border-b border-hairline py-2 text-left align-top font-medium";
const MINUTES_AN_HOUR = 60;

type Line = readonly [string, (sum: SchoolSum) => string];

function linesOf(currency: string): readonly Line[] {
  return [
    ["Services", (sum) => figure(sum.turns)],
    ["Days with work", (sum) => figure(sum.days)],
    ["Hours of work", (sum) => figure(sum.minutes / MINUTES_AN_HOUR, 1)],
    ["Litres", (sum) => figure(sum.litres, 1)],
    ["Parts", (sum) => money(sum.money.parts, currency)],
    ["Fluids", (sum) => money(sum.money.fluids, currency)],
    ["Own time", (sum) => money(sum.money.labour, currency)],
    ["Together", (sum) => money(togetherOf(sum), currency)],
  ];
}

/** The sums of each school, and each task's turns with the rule it goes by there. */
export function SchoolsTable({
  sums,
  book,
  currency,
}: {
  readonly sums: readonly SchoolSum[];
  readonly book: MachineBook;
  readonly currency: string;
}): ReactElement {
  return (
    <div
      className="overflow-x-auto"
      role="region"
      tabIndex={0}
      aria-label="Schools side by side, as a table"
    >
      <table className="w-full border-collapse">
        <thead>
          <tr>
            <th scope="col" className="border-b border-rule py-2 text-left text-fine text-quiet">
              Over these years
            </th>
            {sums.map(({ school }) => (
              <th key={school} scope="col" className={HEAD}>
                {school}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {linesOf(currency).map(([name, words]) => (
            <tr key={name} className={name === "Together" ? "font-bold" : ""}>
              <th scope="row" className={NAME}>
                {name}
              </th>
              {sums.map((sum) => (
                <td key={sum.school} className={CELL}>
                  {words(sum)}
                </td>
              ))}
            </tr>
          ))}
          {book.tasks.map((task) => (
            <TaskLine key={task.id} task={task} sums={sums} book={book} />
          ))}
        </tbody>
      </table>
      <Missing sums={sums} />
    </div>
  );
}

function TaskLine({
  task,
  sums,
  book,
}: {
  readonly task: Task;
  readonly sums: readonly SchoolSum[];
  readonly book: MachineBook;
}): ReactElement {
  return (
    <tr>
      <th scope="row" className={NAME}>
        {task.name}
      </th>
      {sums.map((sum) => {
        const own = sum.tasks.find((one) => one.task === task.id);
        return (
          <td key={sum.school} className={CELL}>
            {own !== undefined && (
              <>
                {own.turns === 0 ? "none" : `${figure(own.turns)} ×`}
                {sum.school !== AS_DONE && (
                  <span className="block text-fine text-quiet">{whyWords(own, task, book)}</span>
                )}
              </>
            )}
          </td>
        );
      })}
    </tr>
  );
}

function whyWords(own: SchoolTask, task: Task, book: MachineBook): string {
  switch (own.by) {
    case "for life":
      return "for life, it is said";
    case "with another":
      return "with another task";
    case "each use":
      return `${task.eachUse ?? "before"} each use`;
    case "none":
      return "nothing is said";
    case "handbook":
    case "own": {
      const rule = limitsSentence(own.limits, task.combine ?? "first", {
        machine: book.machines[0],
        checklists: book.checklists,
      });
      return own.by === "own" ? rule : `as the handbook: ${rule}`;
    }
  }
}

const WORDS: Readonly<Record<MissingFigure["code"], string>> = {
  minutes: "minutes of",
  price: "price of",
  capacity: "capacity of the",
  product: "product in the",
  rate: "rate an hour for",
};

/** What the sums leave out, so that nobody takes them for whole. */
function Missing({ sums }: { readonly sums: readonly SchoolSum[] }): ReactElement | null {
  const all = new Set(
    sums.flatMap(({ missing }) => missing.map(({ code, what }) => `${WORDS[code]} ${what}`)),
  );
  if (all.size === 0) return null;
  return (
    <p className="mt-3 max-w-[80ch] text-fine text-soon-text">
      Left out, as {counted(all.size, "figure is", "figures are")} not recorded:{" "}
      {[...all].join("; ")}.
    </p>
  );
}
