import {
  judgeReadings,
  readAgain,
  symbolOf,
  type CheckLimits,
  type CheckResult,
  type DayNumber,
  type Wear,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { formatted } from "../shared/atTheMachine/figures.js";
import { shortDate } from "../../words/format.js";
import { ReadingField } from "../shared/atTheMachine/ReadingField.js";
import { limitWords, wearWords } from "./roundWords.js";
import { WearDrawn } from "./WearDrawn.js";

/** So many earlier readings stand beside the field. */
const BEFORE = 2;

/** A check that is read: the field, what was read before, what it means by its limits, and how it wears. */
export function ReadCheck({
  limits,
  wear,
  result,
  round,
  today,
  meterUnit,
  onReading,
  onAfresh,
}: {
  readonly limits: CheckLimits;
  readonly wear: Wear;
  readonly result: CheckResult | null;
  readonly round: string;
  readonly today: DayNumber;
  /** Of the meter that the wear goes by. */
  readonly meterUnit: string;
  readonly onReading: (value: number) => Promise<boolean>;
  readonly onAfresh: () => void;
}): ReactElement {
  const unit = symbolOf(limits.unit);
  return (
    <div data-reading className="grid gap-x-8 gap-y-3 md:grid-cols-2">
      <div className="space-y-2">
        <p className="text-quiet">
          {limitWords(limits)}
          {limits.isOfPlate && " The machine’s own plate goes before the checklist."}
        </p>
        <ReadingField label={unit === "" ? "reading" : `reading, ${unit}`} onReading={onReading} />
        <Read {...{ limits, result, unit, onAfresh }} />
      </div>
      <Worn {...{ wear, unit, round, today, meterUnit }} />
    </div>
  );
}

/** What was read before, and how it wears. */
export function Worn({
  wear,
  unit,
  round,
  today,
  meterUnit,
}: Pick<Parameters<typeof ReadCheck>[0], "wear" | "round" | "today" | "meterUnit"> & {
  readonly unit: string;
}): ReactElement {
  const before = wear.readings.filter((one) => one.round !== round).slice(-BEFORE);
  const words = before.map(
    ({ value, day }) => `${formatted(value)} ${unit} on ${shortDate(day, today)}`,
  );
  return (
    <div className="space-y-1">
      {words.length > 0 && <p className="text-quiet">Before: {words.join(", ")}</p>}
      <WearDrawn wear={wear} unit={unit} />
      <p className="empty:hidden">{wearWords(wear, unit, meterUnit, today)}</p>
    </div>
  );
}

/** What was read, and what it means; near its limit it is read again. */
function Read({
  limits,
  result,
  unit,
  onAfresh,
}: {
  readonly limits: CheckLimits;
  readonly result: CheckResult | null;
  readonly unit: string;
  readonly onAfresh: () => void;
}): ReactElement | null {
  const readings = result?.readings ?? [];
  const judged = judgeReadings(limits, readings);
  if (judged === null) return null;
  const doubt = judged.uncertainty > 0 ? ` ±${formatted(judged.uncertainty)}` : "";
  return (
    <div role="status">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong className="font-mono text-[3.5rem] leading-none">{formatted(judged.value)}</strong>
        {unit}
        <strong className="text-large">{judged.verdict ?? "written down"}</strong>
      </p>
      <p className="text-quiet">
        read {readings.map(({ value }) => formatted(value)).join(", ")}
        {doubt}{" "}
        <button type="button" className="min-h-12 px-2 text-clear underline" onClick={onAfresh}>
          Read afresh
        </button>
      </p>
      {readAgain(judged, readings) && (
        <p className="font-semibold text-soon-text">Too close to call: read it once more.</p>
      )}
    </div>
  );
}
