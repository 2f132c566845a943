import { put } from "../book/change.js";
import type { CommandContext, CommandResult } from "../book/command.js";
import type { ReadingId } from "../book/ids.js";
import type { MachineBook } from "../book/machineBook.js";
import type { Reading } from "../book/reading.js";
import { success } from "../book/result.js";
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
