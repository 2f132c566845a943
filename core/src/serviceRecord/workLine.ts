import type { Entry } from "../book/records/entry.js";
import type { FluidUsed } from "../book/records/entryWork.js";
import type { Picture } from "../book/records/picture.js";
import type { Round } from "../book/records/round.js";
import { ownValue } from "../book/records/ownValue.js";
import type { CurrentRecord } from "../book/slice/currentRecords.js";
import { dialOn, lifeOfFigure } from "../meter/dials.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";
import { completionLife } from "../schedule/completion.js";
import type {
  RecordDial,
  RecordFluid,
  RecordLine,
  RecordMeasure,
  RecordPicture,
  RecordWork,
} from "./document.js";
import { present } from "./present.js";
import type { RecordNames, RecordSource } from "./source.js";

/** What a meter is called: as the machine has it, else by what it counts. */
export const meterNameOf = ({ meter }: Pick<MeterReckoning, "meter">): string =>
  meter.name ?? (meter.measure === "hours" ? "hours" : "odometer");

type WithFigures = CurrentRecord<Pick<Entry | Round, "meters" | "estimatedMeters">>;

function dialOf(one: WithFigures, reckoning: MeterReckoning): RecordDial[] {
  const { meter, dials } = reckoning;
  const read = ownValue(one.record.meters, meter.id);
  const life = completionLife(one, reckoning);
  if (read === undefined && life === null) return [];
  const offset = dials[dialOn(dials, one.day) - 1]?.offset ?? 0;
  const accepted = (one.record.estimatedMeters ?? []).includes(meter.id);
  return [
    present<RecordDial>({
      ...{ meter: meterNameOf(reckoning), unit: meter.unit },
      dial: read ?? (life === null ? null : life - offset),
      life,
      estimated: read === undefined || accepted ? true : null,
    }),
  ];
}

/** What the dials of a machine showed with a record, or by reckoning on its day. */
export const dialsOfRecord = (one: WithFigures, { meters }: RecordSource): RecordDial[] =>
  [...meters.values()].flatMap((reckoning) => dialOf(one, reckoning));

/** What one dial showed that was only read. */
export function dialOfFigure(
  reckoning: MeterReckoning,
  figure: number,
  day: CurrentRecord<unknown>["day"],
  isEstimated: boolean,
): RecordDial {
  const { life } = lifeOfFigure(reckoning.dials, figure, day);
  return present<RecordDial>({
    ...{ meter: meterNameOf(reckoning), unit: reckoning.meter.unit },
    ...{ dial: figure, life, estimated: isEstimated ? true : null },
  });
}

export const recordPictures = (
  pictures: readonly Picture[] | undefined,
): readonly RecordPicture[] =>
  (pictures ?? []).map(({ hash, caption }) => present<RecordPicture>({ hash, caption }));

function fluidOf(used: FluidUsed, names: RecordNames): RecordFluid {
  const product = (used.product ?? null) === null ? null : names.product(used.product as string);
  return present<RecordFluid>({
    system: names.system(used.fluid),
    ...{ condition: used.condition, product: product?.name, claims: product?.claims },
    ...{ out: used.out, in: used.in, onMark: used.onMark === true ? true : null },
  });
}

/** What came out of the systems of a machine with an entry, and went in. */
export const fluidsOfEntry = (
  { fluids }: Pick<Entry, "fluids">,
  names: RecordNames,
): RecordFluid[] => (fluids ?? []).map((used) => fluidOf(used, names));

/** The measures of an entry. */
const measuresOf = ({ measures }: Entry): RecordMeasure[] =>
  (measures ?? []).map(({ name, readings, verdict }) =>
    present<RecordMeasure>({ name, readings, verdict }),
  );

function kindOf(entry: Entry): RecordWork["kind"] {
  if (entry.isTopUp === true) return "top-up";
  const did = [entry.tasks, entry.fluids, entry.parts, entry.work, entry.costs, entry.measures];
  return did.some((all) => (all ?? []).length > 0) ? "work" : "note";
}

/** Who did it: people by name, each once. */
export const whoOfEntry = ({ work }: Pick<Entry, "work">, names: RecordNames): string[] => [
  ...new Set((work ?? []).map(({ person }) => names.person(person))),
];

/** An entry as a line of a service record: what it cost is no part of it. */
export function workLine(one: CurrentRecord<Entry>, source: RecordSource): RecordLine {
  const { record: entry } = one;
  const { names } = source;
  return present<RecordLine & RecordWork>({
    ...{ date: entry.date, kind: kindOf(entry), dials: dialsOfRecord(one, source) },
    tasks: [...new Set(entry.tasks ?? [])].map(names.task),
    assumed: entry.assumed === true ? true : null,
    warranty: entry.warranty === true ? true : null,
    corrected: (entry.replaces ?? null) === null ? null : true,
    who: whoOfEntry(entry, names),
    others: (entry.costs ?? []).flatMap(({ what, kind }) => (kind === "shop" ? [what] : [])),
    fluids: fluidsOfEntry(entry, names),
    parts: (entry.parts ?? []).map(({ part, count }) => ({ ...names.part(part), count })),
    measures: measuresOf(entry),
    torques: (entry.torques ?? []).map(({ name, torque, by }) =>
      present<{ name: string }>({
        ...{ name, torque, by: (by ?? null) === null ? null : names.person(by as string) },
      }),
    ),
    tested: (entry.lookAgain ?? []).map(({ task, found }) =>
      present<{ task: string; found?: string }>({ task: names.task(task), found }),
    ),
    codes: (entry.reminders ?? []).map(({ code, fact }) => ({ code, fact })),
    closes: (entry.closes ?? []).map(names.finding),
    left: (entry.left ?? []).map(({ step, reason }) =>
      present<{ step: string; reason?: string }>({ step, reason }),
    ),
    note: entry.note,
    pictures: recordPictures(entry.pictures),
  });
}
