import type { RecordChange } from "../book/change/change.js";
import type { CommandResult } from "../book/change/command.js";
import { failure, success } from "../book/change/result.js";
import type { PersonId, PlaceId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";

/** What machines are to have in common; what is not named stays as it is on each. */
export interface Assignment {
  /** Where they live; null for nowhere that is recorded. */
  readonly place?: PlaceId | null;
  /** Who looks after them; null for nobody. */
  readonly person?: PersonId | null;
  /** The school they follow. */
  readonly regime?: string;
}

const FIELDS = ["place", "person", "regime"] as const;
const USUAL = { place: null, person: null, regime: "handbook" } as const;

/** What stands in the way: they have all of it already. */
export interface AssignIssue {
  readonly code: "nothing-to-give";
}

/**
 * The one change that gives machines a place, a person or a school in common. Machines that have them already
 * are left out; refused where none is left. Whether place and person are there, the store tells when the change is made.
 */
export function assignMachines(
  machines: readonly Machine[],
  assignment: Assignment,
): CommandResult<AssignIssue> {
  const records = machines.flatMap((before): RecordChange[] => {
    const differs = FIELDS.some((field) => {
      const wanted = assignment[field];
      return wanted !== undefined && wanted !== (before[field] ?? USUAL[field]);
    });
    if (!differs) return [];
    return [{ section: "machines", id: before.id, before, after: { ...before, ...assignment } }];
  });
  if (records.length === 0) return failure([{ code: "nothing-to-give" }]);
  return success({ command: "assign-machines", records });
}
