import {
  COST_GROUPINGS,
  formatDay,
  type BoardMachine,
  type CostGroup,
  type CostGrouping,
  type MachineId,
  type Span,
} from "@yonderfell/core";
import { useCallback, useState, type ReactElement } from "react";
import { Link, useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useBeside, type Beside } from "../../../session/useBeside.js";
import { SelectField } from "../../../ui/fields.js";
import { ShowMore } from "../../../ui/ShowMore.js";
import { counted } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import type { CostsTold } from "../../../work/costs.worker.js";
import { costsReckoned } from "../../../work/costsClient.js";
import { machinePath } from "../paths.js";
import { TableButton } from "../TakeAwayButtons.js";
import { useTableFile } from "../useTableFile.js";
import { COST_PARTS, moneyOrDash } from "./costWords.js";
import { besideWords, groupName, GROUPING_WORDS } from "./groupWords.js";

const AT_FIRST = 30;
const MORE = 100;

/** What costs of one machine cannot be told apart by. */
const OF_ONE: ReadonlySet<CostGrouping> = new Set(["machine", "kind", "place"]);

/** Costs told apart, with what they are told apart by; reckoned beside the page, anew after each change. */
function useCostsTold(
  from: string,
  to: string,
  by: CostGrouping,
  machine: MachineId | null,
): Beside<{ readonly by: CostGrouping; readonly told: CostsTold }> {
  const seq = useAppSelector((state) => state.board.seq);
  const ask = useCallback(
    async (database: string) => ({
      by,
      told: await costsReckoned().told(database, seq, { from, to, by, machine }),
    }),
    [seq, from, to, by, machine],
  );
  return useBeside(ask);
}

/** What was spent in a span, told apart as the address says; the words of each group link to its machine where it is one. */
export function CostTable({
  span,
  machine,
  currency,
}: {
  readonly span: Span;
  /** The one machine it is of; null for all. */
  readonly machine: MachineId | null;
  readonly currency: string;
}): ReactElement {
  const [search, setSearch] = useSearchParams();
  const choices = COST_GROUPINGS.filter((by) => machine === null || !OF_ONE.has(by));
  const usual = machine === null ? "machine" : "task";
  const by = choices.find((one) => one === search.get("by")) ?? usual;
  const machines = useAppSelector((state) => state.board.machines);
  const { answer, failure } = useCostsTold(formatDay(span.from), formatDay(span.to), by, machine);
  const choose = (chosen: CostGrouping): void => {
    const next = new URLSearchParams(search);
    next.set("by", chosen);
    setSearch(next, { replace: true });
  };
  const rows = rowsOf(answer?.by === by ? answer : null, machines, currency);
  return (
    <section aria-labelledby="told-apart" className="mt-6">
      <div className="mb-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <h2 id="told-apart" className="text-large font-bold">
          By {GROUPING_WORDS[by]}
        </h2>
        <div className="w-40 print:hidden">
          <SelectField
            label="Told apart by"
            value={by}
            choices={choices.map((one) => [one, GROUPING_WORDS[one]] as const)}
            onChange={choose}
          />
        </div>
        <AsTable by={by} rows={rows} />
      </div>
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
      <Groups by={by} rows={rows} search={search} />
      {by === "task" && rows.length > 0 && (
        <p className="mt-2 max-w-[52rem] text-fine text-quiet">
          Work that did several tasks is shared out: a part to the tasks it is fitted for, a fluid
          to those that use it, all else by their minutes.
        </p>
      )}
    </section>
  );
}

/** A group as it is shown. */
interface CostRow {
  readonly group: CostGroup;
  /** The number of a machine; empty for what is none. */
  readonly tag: string;
  readonly name: string;
  readonly beside: readonly string[];
}

function rowsOf(
  answer: { readonly by: CostGrouping; readonly told: CostsTold } | null,
  machines: readonly BoardMachine[],
  currency: string,
): CostRow[] {
  if (answer === null) return [];
  const { by, told } = answer;
  return told.groups.map((group) => ({
    group,
    ...groupName(by, group, machines, told.places),
    beside: told.beside
      .filter(({ machine }) => by === "machine" && machine === group.key)
      .map((one) => besideWords(one, currency)),
  }));
}

const FIGURES = ["total", "parts", "fluids", "work", "other", "shop", "warranty"] as const;

/** Hands the table over for a spreadsheet: the figures that are shown. */
function AsTable({
  by,
  rows,
}: {
  readonly by: CostGrouping;
  readonly rows: readonly CostRow[];
}): ReactElement {
  const hand = useTableFile();
  const cells = (): string[][] => [
    [GROUPING_WORDS[by], ...FIGURES, "lines without a price", "by what it ran"],
    ...rows.map(({ group, tag, name, beside }) => [
      `${tag} ${name}`.trim(),
      ...FIGURES.map((figure) => group[figure].toFixed(2)),
      ...[String(group.missing), beside.join("; ")],
    ]),
  ];
  return (
    <TableButton
      isReady={rows.length > 0}
      onPress={() => hand(`costs by ${GROUPING_WORDS[by]}`, cells())}
    />
  );
}

const COLUMNS = [
  ...["total", ...COST_PARTS.map(([, label]) => label)],
  ...["of it shops", "warranty", "no price"],
] as const;

function Groups({
  by,
  rows,
  search,
}: {
  readonly by: CostGrouping;
  readonly rows: readonly CostRow[];
  readonly search: URLSearchParams;
}): ReactElement {
  const [shown, setShown] = useState(AT_FIRST);
  const hasBeside = rows.some(({ beside }) => beside.length > 0);
  return (
    <div className="max-w-full overflow-x-auto">
      <table className="w-full text-right tabular-nums">
        <thead>
          <tr className="text-fine text-quiet">
            <th scope="col" className="py-1 pr-5 text-left font-medium first-letter:uppercase">
              {GROUPING_WORDS[by]}
            </th>
            {COLUMNS.map((label) => (
              <th key={label} scope="col" className="pr-5 font-medium">
                {label}
              </th>
            ))}
            {hasBeside && (
              <th scope="col" className="text-left font-medium">
                by what it ran, beside its kind
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, shown).map((row) => (
            <GroupRow
              key={row.group.key}
              row={row}
              to={by === "machine" ? costsPath(row.group.key, search) : null}
              hasBeside={hasBeside}
            />
          ))}
        </tbody>
      </table>
      {rows.length === 0 && (
        <p className="py-4 text-quiet">Nothing is logged in these days that cost anything.</p>
      )}
      <ShowMore rest={rows.length - shown} onMore={() => setShown(shown + MORE)} />
    </div>
  );
}

function GroupRow({
  row: { group, name, tag, beside },
  to,
  hasBeside,
}: {
  readonly row: CostRow;
  /** Where more is told of it; null where nothing is. */
  readonly to: string | null;
  readonly hasBeside: boolean;
}): ReactElement {
  const title = (
    <>
      {tag !== "" && <span className="mr-2 font-mono font-bold">{tag}</span>} {name}
    </>
  );
  return (
    <tr className="border-t border-hairline align-baseline print:break-inside-avoid">
      <th scope="row" className="py-1.5 pr-5 text-left font-medium print:py-0.5">
        {to === null ? (
          title
        ) : (
          <Link to={to} className="hover:underline">
            {title}
          </Link>
        )}
      </th>
      <td className="pr-5 font-semibold">{money(group.total, "")}</td>
      {COST_PARTS.map(([part]) => (
        <td key={part} className="pr-5">
          {moneyOrDash(group[part])}
        </td>
      ))}
      <td className="pr-5">{group.shop === 0 ? "" : money(group.shop, "")}</td>
      <td className="pr-5">{group.warranty === 0 ? "" : money(group.warranty, "")}</td>
      <td className="pr-5">{group.missing === 0 ? "" : counted(group.missing, "line")}</td>
      {hasBeside && (
        <td className="text-left text-quiet">
          {beside.map((words) => (
            <span key={words} className="block">
              {words}
            </span>
          ))}
        </td>
      )}
    </tr>
  );
}

/** The costs of one machine in the same days. */
function costsPath(machine: string, search: URLSearchParams): string {
  const days = new URLSearchParams(
    [...search].filter(([name]) => ["span", "from", "to"].includes(name)),
  );
  return `${machinePath(machine, "/costs")}?${days.toString()}`;
}
