import { dayOf, type DayNumber, type MachineId, type WarrantyTurn } from "@yonderfell/core";
import { useCallback, type ReactElement } from "react";
import { useParams, useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useBeside } from "../../../session/useBeside.js";
import { SelectField } from "../../../ui/fields.js";
import NotFound from "../../../ui/NotFound.js";
import { Page } from "../../../ui/Page.js";
import { counted, fullDate } from "../../../words/format.js";
import { records } from "../../../work/recordClient.js";
import { recordPath } from "../../shared/paths.js";
import { PrintActions } from "../../shared/PrintActions.js";
import { TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { dialWords } from "../record/recordWords.js";
import { IN_TIME_WORDS, usedWords, warrantyLimitWords, warrantyRows } from "./warrantyWords.js";

/** Each turn of a task with its proof, as a warranty question asks for it: when, at which dial, with what, and whether in time. */
export default function WarrantyPage(): ReactElement | null {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const machine = useAppSelector((state) =>
    state.board.machines.find((one) => one.machine.id === id),
  )?.machine;
  const hasBoard = useAppSelector((state) => state.board.machines.length > 0);
  if (!hasBoard) return null;
  return machine === undefined ? (
    <NotFound />
  ) : (
    <Turns key={id} machine={id} title={`${machine.tag} ${machine.name}: for a warranty`} />
  );
}

const ALL = "";

function Turns({
  machine,
  title,
}: {
  readonly machine: MachineId;
  readonly title: string;
}): ReactElement {
  const [search, setSearch] = useSearchParams();
  const ask = useCallback(
    (database: string, today: DayNumber) =>
      records().turns(database, { machine, from: null, to: today, issued: today }),
    [machine],
  );
  const { answer: turns, failure } = useBeside(ask);
  const hand = useTableFile();
  const tasks = new Map((turns ?? []).map(({ task, name }) => [task as string, name]));
  const task = search.get("task") ?? ALL;
  const shown = (turns ?? []).filter((turn) => task === ALL || turn.task === task);
  return (
    <Page
      title={title}
      aside={
        <PrintActions back={recordPath(machine)} backWords="Service record">
          <SelectField
            label="Task"
            value={task}
            choices={[[ALL, "all tasks"] as const, ...tasks]}
            onChange={(value) => setSearch(value === ALL ? {} : { task: value }, { replace: true })}
          />
          <TableButton
            isReady={shown.length > 0}
            onPress={() => hand(`${title} turns`, warrantyRows(shown))}
          />
        </PrintActions>
      }
    >
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure === "" ? "" : `The turns could not be told: ${failure}`}
      </p>
      {turns !== null && <TurnTable turns={shown} />}
    </Page>
  );
}

const HEADINGS = [
  "Day",
  "Task",
  "In time",
  "Limits that day, in days or life",
  "Dial",
  "Products, claims and numbers",
  "By",
];

/** How many were in time, and each with its proof; the latest first. */
function TurnTable({ turns }: { readonly turns: readonly WarrantyTurn[] }): ReactElement {
  if (turns.length === 0) {
    return <p className="py-6 text-quiet">No work that counts for a task of it is in the book.</p>;
  }
  const of = (inTime: WarrantyTurn["inTime"]): number =>
    turns.filter((turn) => turn.inTime === inTime).length;
  const said = [
    `${of("in time")} in time`,
    of("within grace") > 0 ? `${of("within grace")} within grace` : "",
    `${of("late")} late`,
    of("unknown") + of("no limit") > 0
      ? `${of("unknown") + of("no limit")} that nobody can tell`
      : "",
  ].filter((words) => words !== "");
  return (
    <>
      <p className="mt-2 text-large font-bold">
        {counted(turns.length, "turn")}: {said.join(", ")}.
      </p>
      <p className="mb-3 text-quiet">
        Judged by the limits the book has now, as they stood on each day just before. What the book
        saw first of a machine that was older then, it cannot judge.
      </p>
      <div className="max-w-full overflow-x-auto">
        <table className="w-full">
          <thead>
            <tr className="text-left text-fine text-quiet">
              {HEADINGS.map((heading) => (
                <th key={heading} scope="col" className="py-1 pr-5 font-medium">
                  {heading}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {turns.toReversed().map((turn, at) => (
              <TurnRow key={`${turn.task} ${turn.date} ${at}`} turn={turn} />
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

function TurnRow({ turn }: { readonly turn: WarrantyTurn }): ReactElement {
  const isLate = turn.inTime === "late";
  return (
    <tr className="border-t border-hairline align-top print:break-inside-avoid">
      <td className="py-1.5 pr-5 whitespace-nowrap tabular-nums">{fullDate(dayOf(turn.date))}</td>
      <th scope="row" className="py-1.5 pr-5 text-left font-medium">
        {turn.name}
      </th>
      <td className={`py-1.5 pr-5 ${isLate ? "font-bold text-due" : "font-semibold"}`}>
        {IN_TIME_WORDS[turn.inTime]}
      </td>
      <td className="py-1.5 pr-5 tabular-nums">
        {turn.limits.map((limit, at) => (
          <span key={at} className={`block ${limit.governs ? "" : "text-quiet"}`}>
            {warrantyLimitWords(limit)}
          </span>
        ))}
      </td>
      <td className="py-1.5 pr-5 tabular-nums">
        {turn.dials.map((dial) => (
          <span key={dial.meter} className="block">
            {dialWords(dial)}
          </span>
        ))}
      </td>
      <td className="py-1.5 pr-5">
        {usedWords(turn).map((words) => (
          <span key={words} className="block">
            {words}
          </span>
        ))}
      </td>
      <td className="py-1.5">{turn.who.join(", ")}</td>
    </tr>
  );
}
