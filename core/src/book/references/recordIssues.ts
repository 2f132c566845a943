import type { Fluid } from "../records/fluid.js";
import type { BookIssue, IssuePath } from "../file/issue.js";
import type { Machine } from "../records/machine.js";

const quoted = (text: string): string => JSON.stringify(text);

/** What is wrong within a fluid system: a capacity's id twice, or a choice among capacities that are not there. */
export function capacityIssues(fluid: Fluid, index: number): BookIssue[] {
  const path: IssuePath = ["fluids", index];
  const issues: BookIssue[] = [];
  const conditions = new Map<string, string>();
  (fluid.capacities ?? []).forEach(({ id, condition }, at) => {
    if (conditions.has(id)) {
      const expected = `an id of its own (${quoted(id)} is taken)`;
      issues.push({ code: "duplicate-id", path: [...path, "capacities", at, "id"], expected });
    }
    conditions.set(id, condition);
  });
  const chosen = new Set<string>();
  (fluid.working ?? []).forEach(({ capacity }, at) => {
    const place = [...path, "working", at, "capacity"];
    const condition = conditions.get(capacity);
    if (condition === undefined) {
      const expected = `one of its capacities (there is no ${quoted(capacity)})`;
      issues.push({ code: "reference-to-nothing", path: place, expected });
    } else if (chosen.has(condition)) {
      const expected = `one choice for ${quoted(condition)}`;
      issues.push({ code: "contradiction", path: place, expected });
    } else chosen.add(condition);
  });
  return issues;
}

/** What is wrong with the times a machine was out of service: one id twice, or two still going on. */
export function stopIssues(machine: Machine, index: number): BookIssue[] {
  const stops = machine.stops ?? [];
  const open = stops.flatMap((stop, at) => ((stop.released ?? null) === null ? [at] : []));
  if (open.length < 2) return [];
  const path = ["machines", index, "stops", open[1] ?? 0, "released"];
  return [{ code: "contradiction", path, expected: "a release, as another one is still going on" }];
}
