import { groupBy } from "es-toolkit";
import type { Machine, Meter } from "../../book/records/machine.js";
import type { DifferingField } from "../mergePlan.js";
import type { CsvKind } from "./csvColumns.js";
import type { CsvFollowUps } from "./csvFollowUps.js";
import { CSV_DOUBTS, csvQuestion, type CsvDoubt, type CsvIssue } from "./csvIssue.js";
import { isSetAside, writes, type CsvItem, type CsvPlan, type CsvTable } from "./csvPlan.js";

/** A figure of a dial that comes along with a machine. */
export interface ShownFigure {
  readonly meter: Meter;
  readonly value: number;
  readonly date: string;
}

/** One item of a plan as it is shown. */
export interface ShownItem {
  readonly row: number;
  /** What stands in its first row, without empty cells. */
  readonly cells: readonly string[];
  readonly doubts: readonly CsvDoubt[];
  readonly fields: readonly DifferingField[];
  readonly along: readonly ShownFigure[];
}

/** Items in doubt that one answer holds for: those of which the very same is in doubt. */
export interface DoubtQuestion {
  /** By which it is answered. */
  readonly key: string;
  /** How many items it is about. */
  readonly count: number;
  /** How many of them are set aside for good where they are not taken: figures of a feed. */
  readonly aside: number;
  /** The first of them. */
  readonly item: ShownItem;
}

/** Items in doubt for one reason. */
export interface DoubtGroup {
  readonly code: CsvDoubt["code"];
  readonly count: number;
  readonly aside: number;
  /** The first of the questions they put. */
  readonly questions: readonly DoubtQuestion[];
}

/** The work that follows what a table of entries says was done, and may have been done with it. */
export interface ShownFollowUps {
  readonly names: readonly string[];
  readonly count: number;
  readonly machines: number;
}

/** What bringing in a table would do, as far as it is shown. */
export interface TablePlan {
  readonly kind: CsvKind;
  readonly counts: Readonly<Record<CsvItem["state"], number>>;
  /** What cannot be read; the first of them, with how many there are. */
  readonly issues: readonly CsvIssue[];
  readonly issueCount: number;
  /** Whether the table as a whole cannot be read. */
  readonly isRefused: boolean;
  readonly groups: readonly DoubtGroup[];
  /** The first that are changed without a doubt, and the first that are new. */
  readonly changed: readonly ShownItem[];
  readonly fresh: readonly ShownItem[];
  /** How many are written without a word of the person's. */
  readonly sure: number;
  /** Null where nothing follows. */
  readonly followUps: ShownFollowUps | null;
}

/** What a person has said of the items in doubt. */
export interface TableChoices {
  /** The reasons that are put up with. */
  readonly codes: readonly CsvDoubt["code"][];
  /** What was said of single questions, by their keys. */
  readonly answers: ReadonlyMap<string, boolean>;
  /** Whether rows that cannot be read are left out; else nothing is brought in while there are any. */
  readonly leavesRefused: boolean;
  /** Whether what follows the work was done with it; null where nobody has said. */
  readonly followUpsDone: boolean | null;
}

const SHOWN = 60;

/** A plan as it is shown, beside the table it is of. */
export class PlanShown {
  private readonly places: ReadonlyMap<CsvItem, number>;

  constructor(
    private readonly plan: CsvPlan,
    private readonly table: CsvTable,
  ) {
    this.places = new Map(plan.items.map((item, index) => [item, index]));
  }

  /** The plan with what follows its entries, by the names of tasks. */
  shown(followUps: readonly CsvFollowUps[], nameOf: (task: string) => string): TablePlan {
    const { kind, items, issues } = this.plan;
    const counts = { new: 0, same: 0, changed: 0, repeated: 0, refused: 0 };
    for (const { state } of items) counts[state] += 1;
    const found = [...issues, ...items.flatMap((item) => item.issues)];
    const sure = items.filter((item) => writes(item) && item.doubts.length === 0);
    const groups = CSV_DOUBTS.flatMap((code): DoubtGroup[] => {
      const own = items.filter((item) => writes(item) && firstDoubt(item) === code);
      return own.length === 0 ? [] : [{ code, ...counted(own), questions: this.questions(own) }];
    });
    return {
      ...{ kind, counts, groups, sure: sure.length },
      issues: found.slice(0, SHOWN),
      issueCount: found.length,
      isRefused: issues.length > 0,
      changed: this.show(sure.filter(({ state }) => state === "changed")),
      fresh: this.show(sure.filter(({ state }) => state === "new")),
      followUps: shownFollowUps(followUps, nameOf),
    };
  }

  /** Whether a person's choices take an item in. */
  isTaken(item: CsvItem, { codes, answers }: TableChoices): boolean {
    const first = firstDoubt(item);
    return first === null || (answers.get(this.keyOf(item)) ?? codes.includes(first));
  }

  private keyOf(item: CsvItem): string {
    return csvQuestion(item.doubts) ?? `item ${this.places.get(item) ?? ""}`;
  }

  private questions(items: readonly CsvItem[]): DoubtQuestion[] {
    const byKey = groupBy(items, (item) => this.keyOf(item));
    const shown = Object.entries(byKey).slice(0, SHOWN);
    return shown.flatMap(([key, own]) =>
      this.show(own.slice(0, 1)).map((item) => ({ key, ...counted(own), item })),
    );
  }

  private show(items: readonly CsvItem[]): ShownItem[] {
    return items.slice(0, SHOWN).map(({ rows, doubts, fields, along, record }) => {
      const row = rows[0] ?? 1;
      const cells = (this.table.rows[row - 1] ?? []).filter((cell) => cell.trim() !== "");
      const { meters = [] } = (record ?? {}) as Partial<Machine>;
      const figures = along.flatMap(({ meter: id, value, date }): ShownFigure[] => {
        const meter = meters.find((one) => one.id === id);
        return meter === undefined ? [] : [{ meter, value, date }];
      });
      return { row, cells, doubts, fields, along: figures };
    });
  }
}

/** How many items there are, and how many of them are set aside where they are not taken. */
const counted = (
  items: readonly CsvItem[],
): { readonly count: number; readonly aside: number } => ({
  count: items.length,
  aside: items.filter(isSetAside).length,
});

/** The reason under which an item in doubt is shown: the weightiest. */
function firstDoubt(item: CsvItem): CsvDoubt["code"] | null {
  return CSV_DOUBTS.find((code) => item.doubts.some((doubt) => doubt.code === code)) ?? null;
}

function shownFollowUps(
  followUps: readonly CsvFollowUps[],
  nameOf: (task: string) => string,
): ShownFollowUps | null {
  const owed = followUps.flatMap((one) => one.owed);
  if (owed.length === 0) return null;
  const names = [...new Set(owed.map(({ task }) => nameOf(task)))];
  return { names, count: owed.length, machines: followUps.length };
}
