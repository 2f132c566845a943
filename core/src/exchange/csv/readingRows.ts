import type { Meter } from "../../book/records/machine.js";
import { csvUnit } from "./csvFormat.js";
import {
  datedCells,
  datedFields,
  inMeterUnit,
  machineOfRow,
  meterOfRow,
  yesOrNo,
} from "./csvMachine.js";
import type { CsvCells } from "./csvCells.js";
import { cellsOf, saidOnly, type CsvSaid, type CsvShape } from "./csvShape.js";
import type { CsvNames } from "./csvNames.js";

const NOTHING: CsvSaid = { fields: {}, doubts: [] };

/** The unit of a row: behind the figure, in a column of its own, or that of the table's distances. */
function unitOf(cells: CsvCells, behind: Meter["unit"] | null): Meter["unit"] | null | undefined {
  if (behind !== null) return behind;
  const word = cells.word("unit");
  const unit = csvUnit(word ?? "");
  if (unit === undefined) {
    cells.refuse("unit", "km, mi or h");
    return undefined;
  }
  return unit;
}

function read([cells]: readonly [CsvCells, ...CsvCells[]], names: CsvNames): CsvSaid {
  const date = cells.needed("date", "a date") === null ? null : cells.date("date");
  const given =
    cells.needed("value", "the figure of the dial") === null ? null : cells.measure("value");
  const unit = unitOf(cells, given?.unit ?? null);
  const found = machineOfRow(cells, names);
  if (found === null || date === null || given === null || unit === undefined) return NOTHING;
  const { machine, doubts } = found;
  // A unit says which of several meters is meant, as a tag and a figure do when they are typed.
  const isNamed = cells.word("meter") !== null;
  const meters = machine.meters ?? [];
  const byUnit = meters.find((one) => (one.unit === "h") === (unit === "h"));
  const meter =
    !isNamed && unit !== null && byUnit !== undefined
      ? byUnit
      : meterOfRow(cells, "meter", machine);
  if (meter === null) return NOTHING;
  const inFile = unit ?? (meter.unit === "h" ? null : cells.format.distance);
  const value = inMeterUnit(given.value, inFile, meter);
  if (value === null) {
    cells.refuse("value", `a figure in ${meter.unit}, in which ${meter.id} counts`);
    return NOTHING;
  }
  const own = { machine: machine.id, meter: meter.id, date, value };
  const marks = {
    ...{ estimated: cells.yes("estimated"), confirmed: cells.yes("confirmed") },
    source: cells.word("source")?.toLowerCase() ?? null,
  };
  return { fields: saidOnly({ ...own, ...marks, ...datedFields(cells) }), doubts };
}

/** A row with a figure of distance and one of hours is two readings. */
function split(cells: CsvCells): readonly CsvCells[] {
  const hours = cells.word("hours");
  if (hours === null || cells.issues.length > 0) return [cells];
  const ofHours = cells.moved(
    { hours: null, value: hours, unit: "h", meter: null },
    new Map([["value", "hours"]]),
  );
  if (cells.word("value") === null) return [ofHours];
  return [cells.moved({ hours: null }, new Map()), ofHours];
}

/** Readings in a table: a row each. */
export const READING_ROWS: CsvShape<"readings"> = {
  columnOf: {},
  ofEachRow: null,
  groupOf: () => null,
  split,
  read,
  likeness: ({ machine, meter, date, value }) => JSON.stringify([machine, meter, date, value]),
  write: (reading, names) => {
    const machine = names.machineOf(reading.machine);
    const meter = (machine?.meters ?? []).find(({ id }) => id === reading.meter);
    return [
      cellsOf({
        machine: machine?.tag,
        machineId: reading.machine,
        id: reading.id,
        meter: reading.meter,
        date: reading.date,
        value: reading.value,
        unit: meter?.unit,
        estimated: yesOrNo(reading.estimated),
        confirmed: yesOrNo(reading.confirmed),
        source: reading.source,
        ...datedCells(reading),
      }),
    ];
  },
};
