import type { Book } from "../book/file/book.js";
import type { Machine } from "../book/records/machine.js";
import type { MachineId } from "../book/records/ids.js";
import type { Sample } from "../book/records/sample.js";
import { settingsOf } from "../book/records/settings.js";
import { byDate, currentRecords } from "../book/slice/currentRecords.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { dayOf, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { reckonMeters } from "../meter/reckonMeter.js";
import type { RecordContent, RecordedMachine, RecordLine, RecordReading } from "./document.js";
import { gapsIn } from "./gaps.js";
import { dialChangeLine, findingLine, roundLine, sampleLine, stopLine } from "./otherLines.js";
import { present } from "./present.js";
import { recordNames, type NamedSections, type RecordSource } from "./source.js";
import { dialOfFigure, workLine } from "./workLine.js";

/** The sections of a book that a service record is made from. */
export type RecordedSections = NamedSections &
  Pick<
    Book,
    "machines" | "entries" | "readings" | "meterChanges" | "rounds" | "samples" | "settings"
  >;

/** What a record is asked for: which machine, over which days (both included), issued when, from which book. */
export interface RecordAsked {
  readonly machine: MachineId;
  /** Null for all there is: from the day in service, or the first record where that is earlier. */
  readonly from: DayNumber | null;
  readonly to: DayNumber;
  readonly issued: DayNumber;
  readonly book: string;
}

function recordedMachine(machine: Machine): RecordedMachine {
  const { tag, name, kind, description, variant, vin, serial, registration } = machine;
  const { inService, acquired, history } = machine;
  return present<RecordedMachine>({
    ...{ tag, name, kind, description, variant, vin, serial, registration, inService, acquired },
    history: history ?? "known",
  });
}

function linesOf(source: RecordSource, samples: readonly Sample[]): RecordLine[] {
  const { records } = source;
  const taken = currentRecords(samples).filter(
    ({ record }) => record.machine === records.machine.id,
  );
  return [
    ...records.meterChanges.toSorted(byDate).flatMap((one) => dialChangeLine(one, source)),
    ...(records.machine.stops ?? []).map(stopLine),
    ...records.rounds.toSorted(byDate).map((one) => roundLine(one, source)),
    ...taken.toSorted(byDate).map((one) => sampleLine(one, source)),
    ...records.findings.map((one) => findingLine(one, source)),
    ...records.entries.toSorted(byDate).map((one) => workLine(one, source)),
  ];
}

function readingsOf({ records, meters }: RecordSource): RecordReading[] {
  return records.readings.flatMap((reading) => {
    const reckoning = meters.get(reading.meter);
    if (reckoning === undefined) return [];
    const isEstimated = reading.estimated === true;
    return [
      present<RecordReading>({
        date: reading.date,
        dial: dialOfFigure(reckoning, reading.value, dayOf(reading.date), isEstimated),
        source: reading.source === "dial" ? null : reading.source,
      }),
    ];
  });
}

/** The day all there is begins: that in service, or the first record's where that is earlier or no day in service is known. */
function beginningOf(
  { inService }: Machine,
  dated: readonly { readonly date: string }[],
  to: DayNumber,
): DayNumber {
  const days = [...dated.map(({ date }) => date), ...(inService ? [inService] : [])].map(dayOf);
  return days.reduce((first, day) => (day < first ? day : first), to);
}

const byDay = (one: { readonly date: string }, other: { readonly date: string }): number =>
  dayOf(one.date) - dayOf(other.date);

/**
 * The service record of a machine over a span of days: everything the book has of it that was done, found, looked at,
 * replaced or read, in order, with gaps named as gaps (records §4). Lines of one day: dials replaced, stops, rounds, samples,
 * findings, then work. What it cost is no part of it. Null where the book has no such machine.
 */
export function makeRecord(book: RecordedSections, asked: RecordAsked): RecordContent | null {
  const records = recordsByMachine(book).get(asked.machine);
  if (records === undefined) return null;
  const settings = settingsOf(book);
  const meters = reckonMeters(records, settings, asked.issued);
  const source = { records, settings, meters, names: recordNames(book), issued: asked.issued };
  const [allLines, allReadings] = [linesOf(source, book.samples ?? []), readingsOf(source)];
  const from = asked.from ?? beginningOf(records.machine, [...allLines, ...allReadings], asked.to);
  const isWithin = ({ date }: { readonly date: string }): boolean =>
    dayOf(date) >= from && dayOf(date) <= asked.to;
  const lines = allLines.filter(isWithin).toSorted(byDay);
  const readings = allReadings.filter(isWithin).toSorted(byDay);
  const known = [...lines.filter((line) => !("assumed" in line)), ...readings];
  const { inService } = records.machine;
  return {
    ...{ format: "yonderfell-service-record", version: 1 },
    ...{ issued: formatDay(asked.issued), book: asked.book },
    ...{ from: formatDay(from), to: formatDay(asked.to) },
    machine: recordedMachine(records.machine),
    ...{ lines, readings },
    gaps: gapsIn(
      known.map(({ date }) => dayOf(date)),
      from,
      asked.to,
      inService ? dayOf(inService) : null,
    ),
  };
}
