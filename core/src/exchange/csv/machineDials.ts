import type { MeterId } from "../../book/records/ids.js";
import type { Meter } from "../../book/records/machine.js";
import type { CsvCells } from "./csvCells.js";
import { csvUnit } from "./csvFormat.js";
import { inMeterUnit } from "./csvMachine.js";
import type { FigureSaid } from "./csvShape.js";

/** The id a machine's first meter of a unit goes by where nothing else is said. */
export const USUAL_ID: Readonly<Record<Meter["unit"], string>> = {
  km: "odo",
  mi: "odo",
  h: "hrs",
};

/** A meter as the least that makes one. */
export function meterCounting(id: string, unit: Meter["unit"]): Meter {
  return { id: id as MeterId, measure: unit === "h" ? "hours" : "distance", unit };
}

/**
 * The figures of dials that rows of a machine bring along, such as its mileage of today, and its meters
 * with those that have to be there for them. A figure without a unit is one of the row's own meter, else
 * of the machine's first that counts distance, else its first; a machine without any gets one in the
 * unit of the table's distances. Noted with the cells where none can be told.
 */
export class MachineDials {
  private readonly along: FigureSaid[] = [];

  private meters: readonly Meter[];

  constructor(private readonly named: readonly Meter[]) {
    this.meters = named;
  }

  /** Takes the figures of one row, beside the meter it speaks of. */
  take(cells: CsvCells, own: Meter | null): void {
    const date = cells.date("readOn");
    this.takeHours(cells, own, date);
    this.takeReading(cells, own, date);
  }

  said(): { readonly meters: readonly Meter[]; readonly along: readonly FigureSaid[] } {
    return { meters: this.meters, along: this.along };
  }

  private takeHours(cells: CsvCells, own: Meter | null, date: string | null): void {
    const said = cells.measure("hours");
    if (said === null) return;
    if (said.unit !== null && said.unit !== "h") {
      cells.refuse("hours", "hours, as this column holds them");
      return;
    }
    const counting = own?.unit === "h" ? own : this.meters.find(({ unit }) => unit === "h");
    this.note(counting ?? this.added("h"), said.value, date);
  }

  private takeReading(cells: CsvCells, own: Meter | null, date: string | null): void {
    const said = cells.measure("reading");
    if (said === null) return;
    const unit = said.unit ?? csvUnit(cells.word("unit") ?? "") ?? null;
    const meter = own ?? this.meterFor(unit, cells.format.distance);
    if (meter === null) {
      const expected =
        "the figure with its unit (84350 km), or a unit for the distances of the table";
      cells.refuse("reading", expected);
      return;
    }
    const inFile = unit ?? (meter.unit === "h" ? null : cells.format.distance);
    const value = inMeterUnit(said.value, inFile, meter);
    if (value === null) {
      cells.refuse("reading", `a figure in ${meter.unit}, in which ${meter.id} counts`);
      return;
    }
    this.note(meter, value, date);
  }

  private meterFor(unit: Meter["unit"] | null, distance: "km" | "mi" | null): Meter | null {
    if (unit !== null) {
      const counting = this.meters.find((one) => (one.unit === "h") === (unit === "h"));
      return counting ?? this.added(unit);
    }
    const known = this.meters.find((one) => one.unit !== "h") ?? this.named[0];
    return known ?? (distance === null ? null : this.added(distance));
  }

  private added(unit: Meter["unit"]): Meter {
    const meter = meterCounting(USUAL_ID[unit], unit);
    this.meters = [...this.meters, meter];
    return meter;
  }

  private note(meter: Meter, value: number, date: string | null): void {
    this.along.push({ meter: meter.id, value, date });
  }
}
