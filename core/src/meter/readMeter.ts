import { applyChange, put, type RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { MeterId, ReadingId } from "../book/records/ids.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { Reading } from "../book/records/reading.js";
import { failure, success } from "../book/change/result.js";
import { formatDay } from "../calendar/dayNumber.js";
import { settleFigure, type DialFigureInput, type FigureIssue } from "./settleFigure.js";

/** Records a reading, with what lets it stand. Refused: what {@link settleFigure} refuses. */
export function readMeter(
  book: MachineBook,
  input: DialFigureInput,
  context: CommandContext,
): CommandResult<FigureIssue> {
  const settled = settleFigure(book, input, context);
  if (!settled.ok) return settled;
  const reading: Reading = {
    id: context.newId() as ReadingId,
    seq: context.nextSeq(),
    machine: book.machines[0].id,
    meter: input.meter,
    date: formatDay(input.day),
    value: input.value,
    ...(settled.value.isConfirmed ? { confirmed: true } : {}),
    ...(input.isEstimated === true ? { estimated: true } : {}),
  };
  const records = [...settled.value.records, put("readings", reading)];
  return success({ command: "read-meter", records });
}

/** What stands in the way of one of several figures. */
export interface MeterFigureIssue {
  readonly code: "figure-refused";
  readonly meter: MeterId;
  readonly issue: FigureIssue;
}

/** Records readings of several meters of a machine, all or none. Refused: what {@link readMeter} refuses, with the meter. */
export function readMeters(
  book: MachineBook,
  inputs: readonly DialFigureInput[],
  context: CommandContext,
): CommandResult<MeterFigureIssue> {
  let current = book;
  const records: RecordChange[] = [];
  for (const input of inputs) {
    const result = readMeter(current, input, context);
    if (!result.ok) {
      const { meter } = input;
      return failure(result.issues.map((issue) => ({ code: "figure-refused", meter, issue })));
    }
    current = applyChange(current, result.value);
    records.push(...result.value.records);
  }
  return success({ command: "read-meters", records });
}
