import type { Finding } from "../book/records/finding.js";
import type { Stop } from "../book/records/service.js";
import type { Sample } from "../book/records/sample.js";
import type { Round } from "../book/records/round.js";
import type { MeterChange } from "../book/records/meterChange.js";
import { formatDay } from "../calendar/dayNumber.js";
import type { CurrentRecord } from "../book/slice/currentRecords.js";
import { findingEnd } from "../schedule/findingEnd.js";
import type { RecordLine, RecordMeasure } from "./document.js";
import { present } from "./present.js";
import type { RecordNames, RecordSource } from "./source.js";
import { dialsOfRecord, meterNameOf, recordPictures } from "./workLine.js";

/** Who it was by, as a list: a person by name, else words; nobody where nobody is named. */
const byWhom = (by: string | null | undefined, names: RecordNames): string[] =>
  (by ?? "") === "" ? [] : [names.person(by as string)];

/** A result that a reader wants to see: it has figures, a word, or was not sound. */
const isTold = ({ readings, verdict }: NonNullable<Round["results"]>[number]): boolean =>
  (readings ?? []).length > 0 || ((verdict ?? "sound") !== "sound" && verdict !== "not applicable");

/** A round as a line: how many checks by verdict, what was measured, and all that was not sound. */
export function roundLine(one: CurrentRecord<Round>, source: RecordSource): RecordLine {
  const { record: round } = one;
  const { names } = source;
  const results = round.results ?? [];
  const verdicts: Record<string, number> = {};
  for (const { verdict } of results) {
    if (verdict) verdicts[verdict] = (verdicts[verdict] ?? 0) + 1;
  }
  return present<RecordLine & { kind: "round" }>({
    ...{ date: round.date, kind: "round", checklist: names.checklist(round.checklist), verdicts },
    dials: dialsOfRecord(one, source),
    who: byWhom(round.by, names),
    results: results.filter(isTold).map((result) => {
      const check = names.check(round.checklist, result.check);
      return present<RecordMeasure>({
        name: (result.point ?? "") === "" ? check : `${check}, ${result.point}`,
        ...{ readings: result.readings, verdict: result.verdict },
        note: [result.picked, result.note, result.reason].filter(Boolean).join("; "),
      });
    }),
    underWay: round.finished === true ? null : true,
    note: round.note,
    pictures: recordPictures(results.flatMap(({ pictures }) => pictures ?? [])),
  });
}

/** A finding as a line, on the day it was found, with how it ended. */
export function findingLine(
  finding: Finding,
  { records, names, issued }: RecordSource,
): RecordLine {
  const where = [finding.where, finding.side].filter(Boolean).join(", ");
  const what = finding.what ?? finding.kind ?? "something found";
  const end = findingEnd(finding, records.entries, issued);
  const ended = end === null ? null : { on: formatDay(end.on), how: end.how || "by work" };
  return present<RecordLine & { kind: "finding" }>({
    ...{ date: finding.found, kind: "finding", what: where === "" ? what : `${what} (${where})` },
    ...{ verdict: finding.verdict, who: byWhom(finding.by, names), evidence: finding.evidence },
    ...{ decision: finding.decision, ended },
    ...{ note: finding.reason, pictures: recordPictures(finding.pictures) },
  });
}

/** A dial that was replaced, as a line. */
export function dialChangeLine(
  { record }: CurrentRecord<MeterChange>,
  { meters }: RecordSource,
): RecordLine[] {
  const reckoning = meters.get(record.meter);
  if (reckoning === undefined) return [];
  return [
    present<RecordLine & { kind: "dial change" }>({
      ...{ date: record.date, kind: "dial change", meter: meterNameOf(reckoning) },
      unit: reckoning.meter.unit,
      ...{ oldFinal: record.oldFinal, newStart: record.newStart },
      ...{ lost: record.lost === 0 ? null : record.lost, note: record.note },
    }),
  ];
}

/** Days out of service, as a line on the day they began. */
export function stopLine({ since, reason, released }: Stop): RecordLine {
  return present<RecordLine & { kind: "out of service" }>({
    ...{ date: since, kind: "out of service", reason },
    released: released ? { on: released.on, by: released.by, done: released.done } : null,
  });
}

/** A sample as a line, with what the laboratory answered. */
export function sampleLine(
  { record: sample }: CurrentRecord<Sample>,
  { names }: RecordSource,
): RecordLine {
  const { result } = sample;
  return present<RecordLine & { kind: "sample" }>({
    ...{ date: sample.date, kind: "sample", system: names.system(sample.fluid) },
    ...{ label: sample.label, lab: sample.lab, note: sample.note },
    ...{ answered: result?.on, values: result?.values, advice: result?.advice },
  });
}
