import type { PersonId, PlaceId } from "../../book/records/ids.js";
import type { Machine, Meter } from "../../book/records/machine.js";
import type { CsvCells } from "./csvCells.js";
import { csvUnit } from "./csvFormat.js";
import type { CsvDoubt } from "./csvIssue.js";
import type { CsvNames, Meant } from "./csvNames.js";
import { MachineDials, meterCounting, USUAL_ID } from "./machineDials.js";
import {
  cellsOf,
  saidOnly,
  type CsvRows,
  type CsvSaid,
  type CsvShape,
  type FigureSaid,
} from "./csvShape.js";

/** The meter a row speaks of, as far as it can be told from that row alone. */
function meterIdOf(cells: CsvCells): string | null {
  const unit = csvUnit(cells.word("unit") ?? "") ?? null;
  return cells.word("meter") ?? (unit === null ? null : USUAL_ID[unit]);
}

/** The meter a row names, with what it says of it; null where it names none. */
function meterOf(cells: CsvCells, before: Machine | null): Meter | null {
  const unit = csvUnit(cells.word("unit") ?? "");
  if (unit === undefined) return cells.refuse("unit", "km, mi or h");
  const id = meterIdOf(cells);
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
  return { ...known, ...meterCounting(id, counts), ...saidOnly(said) };
}

/** The meters that rows name, in the place of those of the same id, new ones last; with what their dials show. */
function metersOf(
  rows: CsvRows,
  before: Machine | null,
): { readonly meters: readonly Meter[] | null; readonly along: readonly FigureSaid[] } {
  const own = rows.map((row) => ({ row, meter: meterOf(row, before) }));
  const said = new Map(own.flatMap(({ meter }) => (meter === null ? [] : [[meter.id, meter]])));
  const kept = (before?.meters ?? []).map((meter) => said.get(meter.id) ?? meter);
  const known = new Set<string>(kept.map(({ id }) => id));
  const named = [...kept, ...[...said.values()].filter(({ id }) => !known.has(id))];
  const dials = new MachineDials(named);
  for (const { row, meter } of own) dials.take(row, meter);
  const { meters, along } = dials.said();
  const isSaid = said.size > 0 || meters.length > named.length;
  return { meters: isSaid ? meters : null, along };
}

/** What a cell names, or its name where the book has nothing of that name, in doubt. */
function namedThing<Id extends string>(
  cells: CsvCells,
  key: "place" | "person",
  find: (name: string) => Meant<{ readonly id: Id }>,
): { readonly id: Id | null; readonly doubts: CsvDoubt[] } {
  const name = cells.word(key);
  if (name === null) return { id: null, doubts: [] };
  const meant = find(name);
  if (meant.code === "one") return { id: meant.thing.id, doubts: [] };
  if (meant.code === "several") {
    cells.refuse(key, `a name that only one ${key} has, or the id`);
  }
  // The name stands for the id until it is added.
  return { id: name as Id, doubts: [{ code: `${key}-unknown`, name }] };
}

/** What a machine is called by: its tag, else that of the machine of its registration, else its registration. */
function tagOf(cells: CsvCells, names: CsvNames): string | null {
  const plate = cells.word("registration");
  if (plate === null || cells.word("tag") !== null) {
    return cells.needed("tag", "the number or name people call the machine by");
  }
  const known = names.machineOfPlate(plate);
  return known.code === "one" ? known.thing.tag : plate;
}

function read(rows: CsvRows, names: CsvNames, before: Machine | null): CsvSaid {
  const [cells] = rows;
  const place = namedThing<PlaceId>(cells, "place", (name) => names.place(name));
  const person = namedThing<PersonId>(cells, "person", (name) => names.person(name));
  const tag = before === null ? tagOf(cells, names) : (cells.word("tag") ?? before.tag);
  const { meters, along } = metersOf(rows, before);
  const fields = {
    tag,
    name: cells.text("name") ?? (before === null ? (cells.text("description") ?? tag) : null),
    kind: cells.text("kind") ?? (before === null ? "other" : null),
    description: cells.text("description"),
    variant: cells.text("variant"),
    vin: cells.word("vin"),
    serial: cells.word("serial"),
    registration: cells.word("registration"),
    place: place.id,
    person: person.id,
    inService: cells.date("inService"),
    acquired: cells.date("acquired"),
    history: cells.oneOf("history", ["known", "unknown"]),
    regime: cells.word("regime"),
    gallons: cells.oneOf("gallons", ["us", "imperial"]),
    note: cells.text("note"),
    meters,
  };
  return { fields: saidOnly(fields), doubts: [...place.doubts, ...person.doubts], along };
}

/** Machines in a table: a row each meter, one where there is none. */
export const MACHINE_ROWS: CsvShape<"machines"> = {
  columnOf: { meters: "meter", id: "machineId" },
  ofEachRow: new Set([
    ...["meter", "meterName", "unit", "perDay", "stoppedOn", "staleAfterDays"],
    ...["reading", "hours", "readOn"],
  ]),
  part: { key: "meter", noun: "meter", of: meterIdOf },
  groupOf: (cells) => {
    const tag = cells.word("tag") ?? cells.word("registration");
    return tag === null ? null : tag.toLowerCase();
  },
  read,
  likeness: ({ tag }) => String(tag).trim().toLowerCase(),
  write: (machine, names) => {
    const { tag, name, kind, description, variant, vin, serial, inService, acquired } = machine;
    const { history, regime, gallons, note, registration } = machine;
    const place = machine.place ? names.nameOfPlace(machine.place) : null;
    const person = machine.person ? names.nameOfPerson(machine.person) : null;
    const own = {
      ...{ name, kind, description, variant, vin, serial, registration, place, person },
      ...{ inService, acquired, history, regime, gallons, note },
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
