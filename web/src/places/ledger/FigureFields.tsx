import type { BoardMachine, BoardMeter } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FIELD } from "../../ui/buttons.js";
import { sentence } from "../../words/format.js";
import { meterName } from "../../words/limitWords.js";
import type { FormFigure, LogForm, LogOutlook } from "./logModel.js";

/** What the dials showed: filled in with what is reckoned, which counts as estimated unless written over. */
export function FigureFields({
  machine,
  form,
  issues,
  onFigures,
  onRight,
}: {
  readonly machine: BoardMachine;
  readonly form: LogForm;
  readonly issues: LogOutlook["issues"];
  readonly onFigures: (figures: FormFigure[]) => void;
  readonly onRight: (isRight: boolean) => void;
}): ReactElement {
  const write = (meter: string, text: string): void =>
    onFigures(
      form.figures.map((figure) =>
        figure.meter === meter ? { meter, text, isOwn: true } : figure,
      ),
    );
  const isInDoubt =
    issues.some((issue) => issue.code === "figure-in-doubt") || form.figuresAreRight;
  return (
    <>
      {machine.meters.map((meter) => {
        const figure = form.figures.find((one) => one.meter === meter.meter.id);
        return figure === undefined ? null : (
          <FigureField key={meter.meter.id} meter={meter} figure={figure} onWrite={write} />
        );
      })}
      {isInDoubt && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 shrink-0 accent-(--clear)"
            checked={form.figuresAreRight}
            onChange={(event) => onRight(event.target.checked)}
          />
          The figure is right as it is; set aside what does not agree. If the meter was replaced,
          record that first with Read a meter.
        </label>
      )}
    </>
  );
}

function hintFor({ isOwn, text }: FormFigure): string {
  if (isOwn) return "read";
  return text === ""
    ? "never read; leave empty if not known"
    : "reckoned; write over it if you read it";
}

function FigureField({
  meter,
  figure,
  onWrite,
}: {
  readonly meter: BoardMeter;
  readonly figure: FormFigure;
  readonly onWrite: (meter: string, text: string) => void;
}): ReactElement {
  const { id, unit } = meter.meter;
  const ink = figure.isOwn ? "text-ink" : "text-quiet";
  return (
    <label className="block text-fine text-quiet">
      {sentence(meterName(meter))}, {unit}
      <input
        className={`${FIELD} font-mono text-[2rem] font-bold max-sm:text-[3.5rem] max-sm:leading-none ${ink}`}
        inputMode="decimal"
        autoComplete="off"
        value={figure.text}
        onChange={(event) => onWrite(id, event.target.value)}
      />
      {hintFor(figure)}
    </label>
  );
}
