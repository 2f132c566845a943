import { formatDay, limitOf, type LimitRecord, type MeasuredLimitRecord } from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { figureTyped } from "../../../form/typed.js";
import { typedFigure } from "../../../words/writing.js";

/** A limit as it stands in the form. */
export interface LimitRow {
  readonly key: string;
  /** The id of a meter, or `months` or `days`. */
  readonly by: string;
  readonly every: string;
  /** Milestones, apart by commas or semicolons. */
  readonly at: string;
  readonly from: string;
  readonly grace: string;
  readonly hard: boolean;
  /** Kinds of product it is for, apart by commas. */
  readonly products: string;
  /** What it is by, where rounds measure it: kept as it is (due rules §16). */
  readonly measured: MeasuredLimitRecord | null;
}

/** A limit in which nothing is said yet. */
export function emptyLimit(by: string): LimitRow {
  const none = {
    every: "",
    at: "",
    from: "",
    grace: "",
    hard: false,
    products: "",
    measured: null,
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
    measured: null,
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
      const { checklist, check, point, meter, limit: figure } = limit;
      const measured = { checklist, check, point, meter, limit: figure };
      return { ...shared, by: meter, every: "", at: "", from: "", measured };
    }
  }
}
