import type { Meter, Reading, Task } from "@yonderfell/core";
import { entryTitle } from "../../words/entryWords.js";
import { dialFigureWithUnit, sentence } from "../../words/format.js";
import type { HistoryItem } from "./history.js";

/** Whether a record has been replaced, withdrawn, or stands in the place of another; empty for one that stands as written. */
export function standsAs({ record }: HistoryItem, isSuperseded: boolean): string {
  if (isSuperseded) return "replaced";
  if (record.void === true) return "withdrawn";
  return (record.replaces ?? null) === null ? "" : "corrected";
}

/** What happened, in a line. */
export function titleOf(item: HistoryItem, tasks: readonly Task[]): string {
  switch (item.kind) {
    case "entries": {
      const nameOf = (id: string): string => tasks.find((task) => task.id === id)?.name ?? id;
      return sentence(entryTitle(item.record, nameOf) || "note");
    }
    case "readings":
      return readingTitle(item.record);
    case "meterChanges":
      return "Meter replaced";
  }
}

/** How a figure came into the book: read, reckoned, or told by a feed or a plug. */
function readingTitle({ estimated, source }: Reading): string {
  if (estimated === true) return "Meter reckoned";
  switch (source ?? "dial") {
    case "dial":
      return "Meter read";
    case "feed":
      return "Told by the feed";
    case "plug":
      return "Told by the plug";
  }
}

/** What the dials showed. */
export function figuresOf(item: HistoryItem, meters: readonly Meter[]): string {
  const show = (id: string, value: number): string => {
    const meter = meters.find((candidate) => candidate.id === id);
    return meter === undefined ? "" : dialFigureWithUnit(value, meter.unit);
  };
  switch (item.kind) {
    case "entries": {
      const estimated = item.record.estimatedMeters ?? [];
      return Object.entries(item.record.meters ?? {})
        .map(
          ([id, value]) =>
            `${show(id, value)}${estimated.some((meter) => meter === id) ? " reckoned" : ""}`,
        )
        .join(", ");
    }
    case "readings":
      return show(item.record.meter, item.record.value);
    case "meterChanges": {
      const { meter, oldFinal, newStart } = item.record;
      return `${show(meter, oldFinal)} → ${show(meter, newStart)}`;
    }
  }
}
