import {
  formatDay,
  limitOf,
  type ChecklistId,
  type LimitRecord,
  type MeasuredLimitRecord,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { figureTyped } from "../../../form/typed.js";
import { typedFigure } from "../../../words/writing.js";

/** A limit as it stands in the form. */
export interface LimitRow {
  readonly key: string;
  /** The id of a meter, or `months` or `days`; {@link BY_ROUNDS} where rounds measure it. */
  readonly by: string;
  readonly every: string;
  /** Milestones, apart by commas or semicolons. */
  readonly at: string;
  readonly from: string;
  readonly grace: string;
  readonly hard: boolean;
  /** Kinds of product it is for, apart by commas. */
  readonly products: string;
  /** What rounds measure (due rules §16), as {@link measureKey}; empty where that is not said. */
  readonly measure: string;
  /** Where that is measured; empty for the check as a whole. */
  readonly point: string;
  /** At which figure it is due, in the unit of the check. */
  readonly figure: string;
  /** The meter that the wear is set against. */
  readonly life: string;
}

/** What a limit is counted in where rounds measure it. */
export const BY_ROUNDS = "rounds";

/** A check of a checklist, as a choice. */
export const measureKey = (checklist: string, check: string): string =>
  JSON.stringify([checklist, check]);

/** The check of a choice; null where none is chosen. */
export function measureOf(key: string): Pick<MeasuredLimitRecord, "checklist" | "check"> | null {
  if (key === "") return null;
  const [checklist, check] = JSON.parse(key) as [ChecklistId, string];
  return { checklist, check };
}

const NOT_MEASURED = { measure: "", point: "", figure: "", life: "" };

/** A limit in which nothing is said yet. */
export function emptyLimit(by: string): LimitRow {
  const none = {
    every: "",
    at: "",
    from: "",
    grace: "",
    hard: false,
    products: "",
    ...NOT_MEASURED,
  };
  return { key: newId(), by, ...none };
}

/** A limit as the form begins with it. */
export function limitRow(record: LimitRecord, index: number): LimitRow {
  const limit = limitOf(record);
  const shared = {
    key: String(index),
    grace: limit.grace === 0 ? "" : figureTyped(limit.grace),
    hard: limit.hard,
    products: limit.products.join(", "),
    ...NOT_MEASURED,
  };
  switch (limit.kind) {
    case "meter": {
      const at = limit.at.map((one) => typedFigure(one)).join("; ");
      return { ...shared, by: limit.meter, every: figureTyped(limit.every), at, from: "" };
    }
    case "calendar": {
      const { interval, from } = limit;
      const by = interval.months === undefined ? "days" : "months";
      const every = figureTyped(interval.months ?? interval.days);
      return { ...shared, by, every, at: "", from: from === null ? "" : formatDay(from) };
    }
    case "measured": {
      const { checklist, check, point, meter } = limit;
      const measured = { measure: measureKey(checklist, check), point: point ?? "", life: meter };
      const figure = typedFigure(limit.limit);
      return { ...shared, ...measured, figure, by: BY_ROUNDS, every: "", at: "", from: "" };
    }
  }
}
