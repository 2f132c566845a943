import type { MachineId, MeterId, TaskId } from "../../book/records/ids.js";
import type { IssuePath } from "../../book/file/issue.js";
import type { LimitRecord } from "../../book/records/limitRecord.js";
import { limitOf } from "../../limit/limit.js";
import { formatDay } from "../../calendar/dayNumber.js";
import type { Machine } from "../../book/records/machine.js";
import { OUTSIDE_REASONS, type Task } from "../../book/records/task.js";
import type { CsvCells } from "./csvCells.js";
import { joinWords } from "./csvCells.js";
import { inMeterUnit, machineOfRow, meterOfRow, yesOrNo } from "./csvMachine.js";
import type { CsvNames } from "./csvNames.js";
import { cellsOf, saidOnly, type CsvRows, type CsvSaid, type CsvShape } from "./csvShape.js";

/** The school of limits that name none. */
const USUAL = "handbook";

/** A limit with the row it stands in. */
interface LimitRow {
  readonly cells: CsvCells;
  readonly school: string;
  readonly limits: readonly LimitRecord[];
}

function schoolOf(cells: CsvCells): string {
  return cells.text("school") ?? USUAL;
}

/** What says something of a limit, and nothing where the row has none. */
const OF_A_LIMIT = ["meter", "grace", "hard", "from", "for"];
/** What says how often. */
const HOW_OFTEN = ["every", "everyHours", "at", "months", "days", "checklist"];
/** What says how often, of limits that are not measured. */
const OF_OTHER_LIMITS = ["every", "everyHours", "at", "months", "days", "from"];
/** What says what is measured, beside the checklist. */
const OF_MEASURING = ["check", "point", "limit"];

/** Notes cells that would otherwise be passed over in silence. */
function refuseIdle(cells: CsvCells, keys: readonly string[]): void {
  for (const key of keys) {
    if (cells.word(key) === null) continue;
    const needed = key === "meter" ? "every or at" : "every, at, months or days";
    cells.refuse(key, `a limit in the same row that it belongs to: ${needed}`);
  }
}

/** What a row says of limits: none, one, or one by meter and one by calendar; null where it speaks of none. */
function limitsOf(cells: CsvCells, machine: Machine): LimitRow | null {
  if (cells.word("checklist") !== null) return measuredLimit(cells, machine);
  const every = cells.measure("every");
  const at = cells.figures("at");
  const calendar = saidOnly({ months: cells.figure("months"), days: cells.figure("days") });
  const hours = cells.measure("everyHours");
  refuseUnmeasured(cells);
  const onMeter = every !== null || at !== null || hours !== null;
  const onCalendar = Object.keys(calendar).length > 0;
  const school = schoolOf(cells);
  if (!onMeter) refuseIdle(cells, onCalendar ? ["meter"] : OF_A_LIMIT);
  if (!onMeter && !onCalendar) {
    return cells.text("school") === null ? null : { cells, school, limits: [] };
  }
  const both = saidOnly({ hard: cells.yes("hard"), for: cells.words("for") });
  const own = saidOnly({ grace: cells.figure("grace") });
  const from = saidOnly({ from: cells.date("from") });
  const kinds = [every !== null || at !== null, hours !== null, onCalendar].filter(Boolean);
  if (kinds.length > 1 && "grace" in own) {
    cells.refuse("grace", "a row for each limit, as a grace is in the unit of one of them");
  }
  const limits: object[] = [];
  if (every !== null || at !== null) {
    const meter = meterOfRow(cells, "meter", machine, cells.word("meter") ?? every?.unit ?? null);
    const inFile = meter?.unit === "h" ? null : (every?.unit ?? cells.format.distance);
    const counted = (value: number): number =>
      meter === null ? value : (inMeterUnit(value, inFile, meter) ?? value);
    const steps = saidOnly({
      every: every === null ? null : counted(every.value),
      at: at?.map(counted) ?? null,
    });
    const grace = typeof own["grace"] === "number" ? { grace: counted(own["grace"]) } : {};
    limits.push({ meter: meter?.id, ...steps, ...grace, ...both });
  }
  if (hours !== null) limits.push({ ...everyHours(hours, cells, machine), ...own, ...both });
  if (onCalendar) limits.push({ ...calendar, ...from, ...own, ...both });
  return { cells, school, limits: limits };
}

/** Notes what says what is measured, but not in which checklist. */
function refuseUnmeasured(cells: CsvCells): void {
  for (const key of OF_MEASURING) {
    if (cells.word(key) !== null) cells.refuse(key, "the checklist in the same row");
  }
}

/** What a row says of a limit by what is measured in rounds (due rules §16). */
function measuredLimit(cells: CsvCells, machine: Machine): LimitRow {
  for (const key of OF_OTHER_LIMITS) {
    if (cells.word(key) !== null)
      cells.refuse(key, "a row of its own: this one is a measured limit");
  }
  const said = {
    checklist: cells.word("checklist"),
    check: cells.needed("check", "the id of a check of the checklist"),
    point: cells.word("point"),
    meter: meterOfRow(cells, "meter", machine)?.id,
    limit: cells.figure("limit") ?? cells.refuse("limit", "the figure at which it is due"),
    grace: cells.figure("grace"),
    hard: cells.yes("hard"),
    for: cells.words("for"),
  };
  return { cells, school: schoolOf(cells), limits: [saidOnly(said)] };
}

/** A limit by the machine's hour meter, from the column of hours. */
function everyHours(
  { value, unit }: NonNullable<ReturnType<CsvCells["measure"]>>,
  cells: CsvCells,
  machine: Machine,
): object {
  if (unit !== null && unit !== "h") cells.refuse("everyHours", "hours, as this column holds them");
  return { meter: meterOfRow(cells, "everyHours", machine, "h")?.id, every: value };
}

function regimesOf(
  rows: CsvRows,
  machine: Machine,
  before: Task | null,
): Record<string, readonly LimitRecord[]> | null {
  const said = new Map<string, LimitRecord[]>();
  for (const row of rows) {
    const own = limitsOf(row, machine);
    if (own === null) continue;
    said.set(own.school, [...(said.get(own.school) ?? []), ...own.limits]);
  }
  if (said.size === 0) return null;
  return Object.fromEntries([...Object.entries(before?.regimes ?? {}), ...said]);
}

/** Another task of the machine that a cell names. */
function otherTask(
  cells: CsvCells,
  key: string,
  machine: MachineId,
  names: CsvNames,
): TaskId | null {
  const name = cells.word(key);
  if (name === null) return null;
  const meant = names.task(machine, name);
  return meant.code === "one"
    ? meant.thing.id
    : cells.refuse(key, "the name or the id of another task of the same machine");
}

function nthOf(cells: CsvCells, machine: MachineId, names: CsvNames): Task["nth"] {
  const of = otherTask(cells, "nthOf", machine, names);
  const every = cells.figure("nthEvery");
  if (of === null && every !== null && cells.word("nthOf") === null) {
    return cells.refuse("nthOf", "with the turns of which task");
  }
  if (of === null) return null;
  return every === null
    ? cells.refuse("nthEvery", "with every how many of its turns, a whole number above 0")
    : { of, every };
}

function followsOf(cells: CsvCells, machine: Machine, names: CsvNames): Task["follows"] {
  const task = otherTask(cells, "followsTask", machine.id, names);
  const amount = cells.figure("followsAmount");
  const days = cells.figure("followsDays");
  if (task === null && cells.word("followsTask") === null && (amount ?? days) !== null) {
    return cells.refuse("followsTask", "after which task");
  }
  if (task === null) return null;
  if (amount === null) return { task, ...(days === null ? {} : { days }) };
  const meter = meterOfRow(cells, "followsMeter", machine)?.id as MeterId;
  return { task, meter, amount, ...(days === null ? {} : { days }) };
}

function read(rows: CsvRows, names: CsvNames, before: Task | null): CsvSaid {
  const [cells] = rows;
  const name = cells.needed("name", "what the task is called");
  const found = machineOfRow(cells, names);
  if (found === null) return { fields: {}, doubts: [] };
  const { machine, doubts } = found;
  const because = cells.oneOf("outside", OUTSIDE_REASONS);
  const tell = cells.text("tell");
  if (because === null && tell !== null && cells.word("outside") === null) {
    cells.refuse("outside", `why it is for others: ${OUTSIDE_REASONS.join(" or ")}`);
  }
  const fields = {
    machine: machine.id,
    name,
    regimes: regimesOf(rows, machine, before),
    regime: cells.word("regime"),
    regimeReason: cells.text("regimeReason"),
    anchor: cells.oneOf("anchor", ["done", "grid"]),
    combine: cells.oneOf("combine", ["first", "last"]),
    nth: nthOf(cells, machine.id, names) ?? null,
    follows: followsOf(cells, machine, names) ?? null,
    eachUse: cells.oneOf("eachUse", ["before", "after"]),
    note: cells.text("note"),
    ladder: cells.text("ladder"),
    access: cells.text("access"),
    minutes: cells.figure("minutes"),
    outside: because === null ? null : { because, ...(tell === null ? {} : { tell }) },
  };
  return { fields: saidOnly(fields), doubts };
}

function limitCells(record: LimitRecord): Record<string, string | number | null | undefined> {
  // As it was said: an own grace of 0 stays a cell.
  const { grace, hard } = record;
  const limit = limitOf(record);
  const both = { grace, hard: yesOrNo(hard), for: joinWords(limit.products) };
  switch (limit.kind) {
    case "meter":
      return { ...both, meter: limit.meter, every: limit.every, at: joinWords(limit.at) };
    case "calendar": {
      const { interval, from } = limit;
      return { ...both, ...interval, from: from === null ? null : formatDay(from) };
    }
    case "measured": {
      const { checklist, check, point, meter, limit: figure } = limit;
      return { ...both, checklist, check, point, meter, limit: figure };
    }
  }
}

type Cells = Readonly<Record<string, string | number | null | undefined>>;

/** A row each limit, school by school; one without any where a task has none. */
function limitRows(task: Task): readonly Cells[] {
  const rows = Object.entries(task.regimes ?? {}).flatMap(([school, limits]): Cells[] =>
    limits.length === 0 ? [{ school }] : limits.map((limit) => ({ school, ...limitCells(limit) })),
  );
  return rows.length === 0 ? [{}] : rows;
}

function ownCells(task: Task, names: CsvNames): Cells {
  const { regime, regimeReason, anchor, combine, eachUse, note, ladder, access, minutes } = task;
  const nameOf = (id: TaskId | undefined): string | null =>
    id === undefined ? null : names.nameOfTask(task.machine, id);
  return {
    ...{ regime, regimeReason, anchor, combine, eachUse, note, ladder, access, minutes },
    ...{ nthOf: nameOf(task.nth?.of), nthEvery: task.nth?.every },
    ...{ followsTask: nameOf(task.follows?.task), followsMeter: task.follows?.meter },
    ...{ followsAmount: task.follows?.amount, followsDays: task.follows?.days },
    ...{ outside: task.outside?.because, tell: task.outside?.tell },
  };
}

/** The row and column of a place within a task, such as the months of its second limit. */
function placeOf(path: IssuePath, rows: CsvRows): { cells: CsvCells; key: string } {
  const [field, school, index, part] = path;
  const [first] = rows;
  if (field === "nth") return { cells: first, key: school === "every" ? "nthEvery" : "nthOf" };
  if (field === "follows") {
    const key = school === "amount" || school === "days" ? `follows-${school}` : "";
    const columns: Readonly<Record<string, string>> = {
      "follows-amount": "followsAmount",
      "follows-days": "followsDays",
    };
    return { cells: first, key: columns[key] ?? "followsTask" };
  }
  if (field === "outside") return { cells: first, key: "outside" };
  if (field !== "regimes") return { cells: first, key: String(field) };
  const speaking = rows.filter(
    (row) => schoolOf(row) === school && HOW_OFTEN.some((key) => row.text(key) !== null),
  );
  const cells = speaking[Number(index)] ?? speaking.at(-1) ?? first;
  const stands = HOW_OFTEN.find((key) => cells.text(key) !== null) ?? "every";
  const isInHours = part === "every" && cells.text("every") === null;
  return { cells, key: part === undefined || isInHours ? stands : String(part) };
}

/** Tasks in a table: a row each limit, one where there is none. */
export const TASK_ROWS: CsvShape<"tasks"> = {
  columnOf: { regimes: "every", nth: "nthOf", follows: "followsTask" },
  ofEachRow: new Set([
    "school",
    "meter",
    ...HOW_OFTEN,
    ...OF_MEASURING,
    "from",
    "grace",
    "hard",
    "for",
  ]),
  groupOf: (cells, names) => {
    const name = cells.word("name");
    const tag = cells.word("machine") ?? "";
    const meant = names.machine(tag);
    const machine = cells.word("machineId") ?? (meant.code === "one" ? meant.thing.id : tag);
    return name === null ? null : JSON.stringify([machine, name.toLowerCase()]);
  },
  read,
  likeness: ({ machine, name }) => JSON.stringify([machine, String(name).trim().toLowerCase()]),
  placeOf,
  write: (task, names) => {
    const own = ownCells(task, names);
    return limitRows(task).map((limit, index) =>
      cellsOf({
        machine: names.machineOf(task.machine)?.tag,
        name: task.name,
        ...(index === 0 ? own : {}),
        ...limit,
        machineId: task.machine,
        id: task.id,
      }),
    );
  },
};
