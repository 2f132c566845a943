import { put, type RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { Capacity, Fluid } from "../book/records/fluid.js";
import type { Known } from "../book/records/known.js";
import type { FluidId, MachineId, MeterId, ReadingId } from "../book/records/ids.js";
import type { Machine, Meter } from "../book/records/machine.js";
import type { SharedBook } from "../book/slice/machinePlate.js";
import { failure, success } from "../book/change/result.js";
import { formatDay } from "../calendar/dayNumber.js";

/** A meter of a new machine, with what it shows today. */
interface NewMeter {
  readonly name: string;
  readonly unit: Meter["unit"];
  /** What it shows today, in its own unit; null where it is not read now. */
  readonly figure: number | null;
}

/** A fluid of a new machine, as its plate says. */
export type NewFluid = Omit<Known<Fluid>, "id" | "machine" | "capacities"> & {
  readonly capacities: readonly Omit<Known<Capacity>, "id">[];
};

/** A machine to be added with its meters and its plate. */
export interface NewMachine {
  readonly facts: Omit<Known<Machine>, "id" | "meters">;
  readonly meters: readonly NewMeter[];
  readonly fluids: readonly NewFluid[];
}

/** What stands in the way of a machine's number or name. */
export type MachineIssue =
  | { readonly code: "tag-missing" }
  | { readonly code: "name-missing" }
  | { readonly code: "kind-missing" }
  /** Another machine is called by that number. */
  | { readonly code: "tag-taken"; readonly by: Machine }
  | { readonly code: "figure-not-a-number"; readonly meter: string };

const isBlank = (text: unknown): boolean => typeof text !== "string" || text.trim() === "";
const plainTag = (tag: string): string => tag.trim().toLowerCase();

/** What is wrong with what a machine is called; `own` is the machine itself where it is known already. */
export function namingIssues(
  facts: Pick<Machine, "tag" | "name" | "kind">,
  machines: readonly Machine[],
  own: MachineId | null,
): MachineIssue[] {
  const issues: MachineIssue[] = [];
  if (isBlank(facts.tag)) issues.push({ code: "tag-missing" });
  if (isBlank(facts.name)) issues.push({ code: "name-missing" });
  if (isBlank(facts.kind)) issues.push({ code: "kind-missing" });
  const by = machines.find(
    (other) => other.id !== own && plainTag(other.tag) === plainTag(facts.tag),
  );
  if (by !== undefined && !isBlank(facts.tag)) issues.push({ code: "tag-taken", by });
  return issues;
}

/**
 * Adds a machine with its meters, what they show today, and the fluids of its plate, in one change.
 * Refused: no number, name or kind; a number another machine has; a figure that is no number of at least 0.
 */
export function addMachine(
  { machines }: Pick<SharedBook, "machines">,
  { facts, meters, fluids }: NewMachine,
  context: CommandContext,
): CommandResult<MachineIssue> {
  const issues = namingIssues(facts, machines, null);
  for (const { name, figure } of meters) {
    if (figure !== null && !(Number.isFinite(figure) && figure >= 0)) {
      issues.push({ code: "figure-not-a-number", meter: name });
    }
  }
  if (issues.length > 0) return failure(issues);
  const id = context.newId() as MachineId;
  const named = meters.map((meter) => ({ ...meter, id: context.newId() as MeterId }));
  const machine: Machine = {
    ...facts,
    id,
    tag: facts.tag.trim(),
    name: facts.name.trim(),
    meters: named.map(({ id: meter, name, unit }) => ({
      id: meter,
      name,
      measure: unit === "h" ? ("hours" as const) : ("distance" as const),
      unit,
    })),
  };
  const readings = named.flatMap(({ id: meter, figure }): RecordChange[] =>
    figure === null
      ? []
      : [
          put("readings", {
            id: context.newId() as ReadingId,
            seq: context.nextSeq(),
            machine: id,
            meter,
            date: formatDay(context.today),
            value: figure,
          }),
        ],
  );
  const plate = fluids.map((fluid): RecordChange => put("fluids", newFluid(fluid, id, context)));
  return success({
    command: "add-machine",
    records: [put("machines", machine), ...readings, ...plate],
  });
}

function newFluid(fluid: NewFluid, machine: MachineId, context: CommandContext): Fluid {
  const capacities = fluid.capacities.map((one) => ({ ...one, id: context.newId() }));
  return { ...fluid, id: context.newId() as FluidId, machine, capacities };
}
