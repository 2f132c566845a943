import type { ClipboardEvent, KeyboardEvent, ReactElement } from "react";
import { FIELD } from "../../../ui/buttons.js";
import { amount, dialFigureWithUnit, fullDate } from "../../../words/format.js";
import { meterName } from "../../../words/limitWords.js";
import { lookAt, type FigureLook, type SheetRow } from "./sheetModel.js";
import type { ReadingSheetState } from "./useReadingSheet.js";

interface SheetLineProps {
  readonly row: SheetRow;
  /** Its place on the sheet, from 0 on. */
  readonly place: number;
  readonly sheet: ReadingSheetState;
  readonly onGoTo: (place: number) => void;
  /** Reads this meter by itself, where it was replaced or rolled over. */
  readonly onAlone: (line: string) => void;
}

/** A meter on the sheet: what it showed last, what it is reckoned to show, what it shows. */
export function SheetLine({ row, place, sheet, onGoTo, onAlone }: SheetLineProps): ReactElement {
  const { machine, meter, key } = row;
  const { tag, name } = machine.machine;
  const { unit } = meter.meter;
  const text = sheet.figures.get(key) ?? "";
  const onKey = (event: KeyboardEvent): void => {
    const step = { Enter: event.shiftKey ? -1 : 1, ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    onGoTo(place + step);
  };
  const onPaste = (event: ClipboardEvent): void => {
    const pasted = event.clipboardData.getData("text");
    if (!/[\n\t]/.test(pasted)) return;
    event.preventDefault();
    sheet.paste(place, pasted);
  };
  const last =
    meter.lastDial === null || meter.lastOn === null
      ? "never read"
      : `${dialFigureWithUnit(meter.lastDial, unit)}, ${fullDate(meter.lastOn)}`;
  const reckoned = meter.dial === null ? "" : dialFigureWithUnit(meter.dial, unit);
  return (
    <div
      role="listitem"
      className="grid min-h-[57px] grid-cols-[3rem_1fr_8.5rem] items-center gap-x-5 border-t border-hairline py-1 max-lg:gap-x-3 lg:grid-cols-[3.5rem_minmax(8rem,11rem)_8.5rem_11.5rem_8rem_8.5rem_minmax(15rem,1fr)]"
    >
      <span className="font-mono text-large font-extrabold">{tag}</span>
      <span className="lg:contents">
        <span className="font-medium max-lg:block">{name}</span>
        <span className="text-quiet">{meterName(meter)}</span>
        <span className="text-fine text-quiet tabular-nums max-lg:block">{last}</span>
        <span className="text-fine text-quiet tabular-nums max-lg:hidden">
          {reckoned === "" ? "" : `about ${reckoned}`}
        </span>
      </span>
      <input
        data-row={place}
        aria-label={`${tag} ${name}, ${meterName(meter)}, ${unit}`}
        data-prints=""
        className={`${FIELD} font-mono text-large font-bold`}
        inputMode="decimal"
        autoComplete="off"
        value={text}
        onChange={(event) => sheet.type(key, event.target.value)}
        onKeyDown={onKey}
        onPaste={onPaste}
      />
      <Said
        row={row}
        sheet={sheet}
        look={lookAt(text, meter, sheet.day)}
        onAlone={() => onAlone(`${tag} ${text} ${unit}`)}
      />
    </div>
  );
}

/** What there is to say of a figure, and what to do about it. */
function Said({
  row: { key, meter },
  sheet,
  look,
  onAlone,
}: {
  readonly row: SheetRow;
  readonly sheet: ReadingSheetState;
  readonly look: FigureLook;
  readonly onAlone: () => void;
}): ReactElement {
  const refused = sheet.refused.get(key);
  const words = refused ?? lookWords(look, meter.meter.unit);
  const isDoubt = refused !== undefined || look.code === "below" || look.code === "too-far";
  const isRight = sheet.right.has(key);
  return (
    <span className="text-fine leading-tight max-lg:col-span-3" aria-live="polite">
      <span className={isDoubt && !isRight ? "text-soon-text" : "text-quiet"}>{words}</span>
      {isDoubt && isRight && <strong className="block">right as it is</strong>}
      {isDoubt && !isRight && (
        <span className="flex flex-wrap gap-x-4">
          <button
            type="button"
            className="min-h-8 text-clear underline"
            onClick={() => sheet.sayRight(key)}
          >
            Right as it is
          </button>
          <button type="button" className="min-h-8 text-clear underline" onClick={onAlone}>
            Replaced or rolled over
          </button>
        </span>
      )}
    </span>
  );
}

function lookWords(look: FigureLook, unit: "km" | "mi" | "h"): string {
  switch (look.code) {
    case "empty":
      return "";
    case "not-a-figure":
      return "not a figure";
    case "below":
      return `below ${dialFigureWithUnit(look.last, unit)} of ${fullDate(look.on)}`;
    case "too-far":
      return `more than it can run since ${fullDate(look.on)}`;
    case "fits":
      return look.run === null ? "" : `${amount(look.run, unit)} since the last`;
  }
}
