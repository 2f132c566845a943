import {
  namingIssues,
  type FluidKind,
  type Gallons,
  type Machine,
  type MachineIssue,
  type Meter,
  type NewFluid,
  type NewMachine,
  type PlaceId,
} from "@yonderfell/core";
import { readQuantity } from "../../../ui/readQuantity.js";
import { typedNumber } from "../../../words/writing.js";
import { isEmpty, listTyped, orNull } from "../../../form/typed.js";
import { capacityWanted } from "../plate/fluidModel.js";

/** A meter as it stands in the sheet. */
export interface MeterRow {
  readonly name: string;
  readonly unit: Meter["unit"] | "";
  readonly figure: string;
  /** Whether the person has said what it counts. */
  readonly isOwn?: boolean;
}

const HOUR_METER = "engine hours";

/** A fluid as it stands in the sheet: one line of the plate. */
export interface FluidRow {
  readonly system: string;
  readonly kind: FluidKind;
  readonly amount: string;
  readonly grade: string;
  readonly codes: string;
}

/** A machine as it stands in the sheet. */
export interface MachineSheet {
  readonly tag: string;
  readonly name: string;
  readonly kind: string;
  readonly description: string;
  readonly inService: string;
  readonly history: "known" | "unknown";
  readonly place: string;
  readonly vin: string;
  readonly gallons: Gallons | "";
  readonly source: string;
  readonly meters: readonly MeterRow[];
  readonly fluids: readonly FluidRow[];
}

/** A machine of which nothing is written yet: two meters and the five usual fluids to fill in or leave. */
export function emptySheet(tag = ""): MachineSheet {
  const fluid = (system: string, kind: FluidKind): FluidRow => ({
    ...{ system, kind, amount: "", grade: "", codes: "" },
  });
  return {
    ...{ tag, name: "", kind: "", description: "", inService: "", history: "known" },
    ...{ place: "", vin: "", gallons: "", source: "handbook" },
    meters: [
      { name: "odometer", unit: "km", figure: "" },
      { name: HOUR_METER, unit: "", figure: "" },
    ],
    fluids: [
      fluid("engine", "engine oil"),
      fluid("cooling system", "coolant"),
      fluid("gearbox", "gear oil"),
      fluid("rear axle", "differential oil"),
      fluid("brakes", "brake fluid"),
    ],
  };
}

const isWritten = ({ amount, grade, codes }: FluidRow): boolean =>
  [amount, grade, codes].some((text) => text.trim() !== "");

/** Kinds whose use is counted in hours. */
const COUNTED_IN_HOURS =
  /mower|tractor|carrier|generator|pump|stationary|boat|engine|excavator|digger|loader|roller|saw|compressor/i;

/** The meters that a kind of machine usually has, as far as the sheet says nothing of them yet. */
export function metersFor(kind: string, meters: readonly MeterRow[]): readonly MeterRow[] {
  if (meters.some(({ figure, isOwn }) => figure.trim() !== "" || isOwn === true)) return meters;
  const isHours = COUNTED_IN_HOURS.test(kind);
  return meters.map((row) => {
    const isHourMeter = row.name === HOUR_METER;
    return { ...row, unit: isHourMeter ? (isHours ? "h" : "") : isHours ? "" : "km" };
  });
}

/** The next whole number that no machine is called by. */
export function nextNumber(tags: readonly string[]): string {
  const taken = new Set(tags.map((tag) => tag.trim().replace(/^0+(?=\d)/, "")));
  const width = Math.max(0, ...tags.filter((tag) => /^0\d/.test(tag)).map((tag) => tag.length));
  for (let number = 1; ; number += 1) {
    if (!taken.has(String(number))) return String(number).padStart(width, "0");
  }
}

/** What is wrong with a sheet as it is typed. */
export type SheetProblem =
  | { readonly field: string; readonly code: "machine"; readonly issue: MachineIssue }
  | { readonly field: string; readonly code: "unit-missing"; readonly meter: string }
  | { readonly field: string; readonly code: "not-a-figure"; readonly meter: string }
  | { readonly field: string; readonly code: "not-a-capacity" };

/** At which field it is said what is wrong with how a machine is called. */
export const NAMING_FIELDS: Partial<Record<MachineIssue["code"], "tag" | "name" | "kind">> = {
  "tag-missing": "tag",
  "tag-taken": "tag",
  "name-missing": "name",
  "kind-missing": "kind",
};

/** What is still wrong with the sheet, at its fields; `others` are the machines of the book. */
export function sheetProblems(
  sheet: MachineSheet,
  others: readonly Machine[],
): readonly SheetProblem[] {
  const naming = namingIssues(newMachineOf(sheet).facts, others, null).map(
    (issue): SheetProblem => ({ field: NAMING_FIELDS[issue.code] ?? "", code: "machine", issue }),
  );
  const meters = sheet.meters.flatMap(({ name: meter, unit, figure }, index): SheetProblem[] => {
    if (isEmpty(figure)) return [];
    if (unit === "") return [{ field: `meters.${index}.unit`, code: "unit-missing", meter }];
    const isFigure = (typedNumber(figure) ?? -1) >= 0;
    return isFigure ? [] : [{ field: `meters.${index}.figure`, code: "not-a-figure", meter }];
  });
  const gallons = sheet.gallons === "" ? null : sheet.gallons;
  const fluids = sheet.fluids.flatMap(({ kind, amount }, index): SheetProblem[] => {
    const isCapacity = isEmpty(amount) || readQuantity(amount, capacityWanted(kind, gallons)).ok;
    return isCapacity ? [] : [{ field: `fluids.${index}.amount`, code: "not-a-capacity" }];
  });
  return [...naming, ...meters, ...fluids];
}

function fluidOf(row: FluidRow, sheet: MachineSheet): NewFluid {
  const gallons = sheet.gallons === "" ? null : sheet.gallons;
  const read = readQuantity(row.amount, capacityWanted(row.kind, gallons));
  const condition =
    row.kind === "engine oil" ? ("with filter" as const) : ("drain and fill" as const);
  const source = sheet.source.trim() === "" ? "handbook" : sheet.source.trim();
  return {
    system: row.system,
    kind: row.kind,
    codes: listTyped(row.codes),
    grades: listTyped(row.grade).map((grade) => ({ grade })),
    capacities: read.ok ? [{ source, condition, quantity: read.value.quantity }] : [],
  };
}

/** The machine of a sheet that has no problem; meters without a unit and fluids nothing is written of are left out. */
export function newMachineOf(sheet: MachineSheet): NewMachine {
  const { tag, name, kind, history } = sheet;
  return {
    facts: {
      ...{ tag, name, kind: kind.trim().toLowerCase(), history },
      description: orNull(sheet.description),
      inService: orNull(sheet.inService),
      vin: orNull(sheet.vin),
      place: sheet.place === "" ? null : (sheet.place as PlaceId),
      gallons: sheet.gallons === "" ? null : sheet.gallons,
    },
    meters: sheet.meters.flatMap(({ name: called, unit, figure }) =>
      unit === "" ? [] : [{ name: called, unit, figure: typedNumber(figure) }],
    ),
    fluids: sheet.fluids.filter(isWritten).map((row) => fluidOf(row, sheet)),
  };
}
