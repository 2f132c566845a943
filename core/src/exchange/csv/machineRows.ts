import type { MeterId, PlaceId } from "../../book/ids.js";
import type { Machine, Meter } from "../../book/machine.js";
import type { CsvCells } from "./csvCells.js";
import { csvUnit } from "./csvFormat.js";
import type { CsvDoubt } from "./csvIssue.js";
import type { CsvNames } from "./csvNames.js";
import { cellsOf, saidOnly, type CsvRows, type CsvSaid, type CsvShape } from "./csvShape.js";

const USUAL_ID: Readonly<Record<Meter["unit"], string>> = { km: "odo", mi: "odo", h: "hrs" };

/** The meter a row names, with what it says of it; null where it names none. */
function meterOf(cells: CsvCells, before: Machine | null): Meter | null {
  const unit = csvUnit(cells.word("unit") ?? "");
  if (unit === undefined) return cells.refuse("unit", "km, mi or h");
  const id = cells.word("meter") ?? (unit === null ? null : USUAL_ID[unit]);
  const said = {
    name: cells.text("meterName"),
    perDay: cells.figure("perDay"),
    stoppedOn: cells.date("stoppedOn"),
    staleAfterDays: cells.figure("staleAfterDays"),
  };
  if (id === null) {
    const isSaid = Object.values(said).some((value) => value !== null);
    return isSaid ? cells.refuse("meter", "which meter the row speaks of") : null;
  }
  const known = (before?.meters ?? []).find((meter) => meter.id === id);
  const counts = unit ?? known?.unit ?? null;
  if (counts === null) return cells.refuse("unit", "km, mi or h, in which the meter counts");
  if (known !== undefined && known.unit !== counts) {
    return cells.refuse("unit", `${known.unit}, in which ${id} of this machine counts`);
  }
  const measure = counts === "h" ? "hours" : "distance";
  return { ...known, id: id as MeterId, measure, unit: counts, ...saidOnly(said) };
}

/** The meters that rows name, in the place of those of the same id; new ones last. */
function metersOf(rows: CsvRows, before: Machine | null): Meter[] | null {
  const named = rows.flatMap((row) => {
    const meter = meterOf(row, before);
    return meter === null ? [] : [{ row, meter }];
  });
  if (named.length === 0) return null;
  const said = new Map<string, Meter>();
  for (const { row, meter } of named) {
    if (said.has(meter.id)) row.refuse("meter", "another meter than the rows before it");
    said.set(meter.id, meter);
  }
  const kept = (before?.meters ?? []).map((meter) => said.get(meter.id) ?? meter);
  const known = new Set<string>(kept.map(({ id }) => id));
  return [...kept, ...[...said.values()].filter(({ id }) => !known.has(id))];
}

function placeOf(
  cells: CsvCells,
  names: CsvNames,
): { readonly place: PlaceId | null; readonly doubts: CsvDoubt[] } {
  const name = cells.word("place");
  if (name === null) return { place: null, doubts: [] };
  const meant = names.place(name);
  if (meant.code === "one") return { place: meant.thing.id, doubts: [] };
  if (meant.code === "several") cells.refuse("place", "a name that only one place has, or its id");
  // The name stands for the id until the place is added.
  return { place: name as PlaceId, doubts: [{ code: "place-unknown", name }] };
}

function read(rows: CsvRows, names: CsvNames, before: Machine | null): CsvSaid {
  const [cells] = rows;
  const { place, doubts } = placeOf(cells, names);
  const tag =
    before === null
      ? cells.needed("tag", "the number or name people call the machine by")
      : (cells.word("tag") ?? before.tag);
  const fields = {
    tag,
    name: cells.text("name") ?? (before === null ? (cells.text("description") ?? tag) : null),
    kind: cells.text("kind") ?? (before === null ? "other" : null),
    description: cells.text("description"),
    variant: cells.text("variant"),
    vin: cells.word("vin"),
    serial: cells.word("serial"),
    place,
    inService: cells.date("inService"),
    acquired: cells.date("acquired"),
    history: cells.oneOf("history", ["known", "unknown"]),
    regime: cells.word("regime"),
    gallons: cells.oneOf("gallons", ["us", "imperial"]),
    note: cells.text("note"),
    meters: metersOf(rows, before),
  };
  return { fields: saidOnly(fields), doubts };
}

/** Machines in a table: a row each meter, one where there is none. */
export const MACHINE_ROWS: CsvShape<"machines"> = {
  columnOf: { meters: "meter", id: "machineId" },
  ofEachRow: new Set(["meter", "meterName", "unit", "perDay", "stoppedOn", "staleAfterDays"]),
  groupOf: (cells) => {
    const tag = cells.word("tag");
    return tag === null ? null : tag.toLowerCase();
  },
  read,
  likeness: ({ tag }) => String(tag).trim().toLowerCase(),
  write: (machine, names) => {
    const { tag, name, kind, description, variant, vin, serial, inService, acquired } = machine;
    const { history, regime, gallons, note } = machine;
    const place =
      machine.place === null || machine.place === undefined
        ? null
        : names.nameOfPlace(machine.place);
    const own = {
      ...{ name, kind, description, variant, vin, serial, place, inService, acquired },
      ...{ history, regime, gallons, note },
    };
    const meters: readonly (Meter | null)[] =
      (machine.meters ?? []).length === 0 ? [null] : (machine.meters ?? []);
    return meters.map((meter, index) =>
      cellsOf({
        tag,
        ...(index === 0 ? own : {}),
        ...{ meter: meter?.id, meterName: meter?.name, unit: meter?.unit, perDay: meter?.perDay },
        ...{ stoppedOn: meter?.stoppedOn, staleAfterDays: meter?.staleAfterDays },
        machineId: machine.id,
      }),
    );
  },
};
