import {
  STATUSES,
  tasksInOrder,
  type BoardMachine,
  type BoardOf,
  type BoardShown,
  type FindingReckoning,
  type Status,
} from "@yonderfell/core";
import type { BoardLook } from "../../../session/boardLook.js";
import type { BoardGroup } from "../../../ui/board/boardGroup.js";

import { sentence } from "../../../words/format.js";
import { STATUS_WORD } from "../../../words/statusWords.js";

/** What places and people are called. */
export interface BoardNames {
  readonly places: ReadonlyMap<string, string>;
  readonly people: ReadonlyMap<string, string>;
}

const PRESSING: Readonly<Record<BoardShown, readonly Status[] | null>> = {
  all: null,
  due: ["overdue", "due"],
  soon: ["overdue", "due", "soon"],
};

const byWords = new Intl.Collator(undefined, { numeric: true });

/** The machines that are wanted, with the tasks and findings that are; a machine is left out where it has none of them. */
export function shownOf(
  machines: readonly BoardMachine[],
  { show, of }: Pick<BoardLook, "show" | "of">,
): readonly BoardMachine[] {
  const wanted = PRESSING[show];
  const own = of === null ? machines : machines.filter((machine) => isOf(machine, of));
  if (wanted === null) return own;
  return own.flatMap((machine) => {
    const shown = withOnly(machine, (status) => wanted.some((one) => one === status));
    return shown === null ? [] : [shown];
  });
}

/** A machine with those of its tasks and findings that are in some states; null where none is. */
function withOnly(
  machine: BoardMachine,
  isWanted: (status: FindingReckoning["status"]) => boolean,
): BoardMachine | null {
  const tasks = machine.tasks.filter(({ status }) => isWanted(status));
  const findings = machine.findings.filter(({ status }) => isWanted(status));
  return tasks.length + findings.length === 0 ? null : { ...machine, tasks, findings };
}

function isOf({ machine }: BoardMachine, { by, value }: BoardOf): boolean {
  return (machine[by] ?? "") === value;
}

/** The board put together as it is asked for: groups by name, those by state by how they press, each as the machines stood. */
export function boardGroups(
  machines: readonly BoardMachine[],
  look: Pick<BoardLook, "group" | "show" | "of">,
  names: BoardNames,
): BoardGroup[] {
  const shown = shownOf(machines, look).map(tasksInOrder);
  if (look.group === "machine") return [{ key: "", title: "", machines: shown }];
  if (look.group === "state") return byState(shown);
  const groups = new Map<string, BoardMachine[]>();
  for (const machine of shown) {
    const title = titleOf(machine, look.group, names);
    const own = groups.get(title);
    if (own === undefined) groups.set(title, [machine]);
    else own.push(machine);
  }
  return [...groups]
    .sort(([one], [other]) => byWords.compare(one, other))
    .map(([title, own]) => ({ key: title, title, machines: own }));
}

function titleOf(
  { machine }: BoardMachine,
  group: "place" | "person" | "kind",
  { places, people }: BoardNames,
): string {
  switch (group) {
    case "place":
      return places.get(machine.place ?? "") ?? "No place recorded";
    case "person":
      return people.get(machine.person ?? "") ?? "Nobody named";
    case "kind":
      return sentence(machine.kind);
  }
}

/** What stands over findings that wait for a day, or were declined. */
const FOUND_UNDATED = "Found, no day set";

function byState(machines: readonly BoardMachine[]): BoardGroup[] {
  const undated = machines.flatMap((machine): BoardMachine[] => {
    const findings = machine.findings.filter(
      ({ status }) => status === "waiting" || status === "declined",
    );
    return findings.length === 0 ? [] : [{ ...machine, tasks: [], findings }];
  });
  const found = { key: "found", title: FOUND_UNDATED, machines: undated };
  const groups = STATUSES.flatMap((status): BoardGroup[] => {
    const own = machines.flatMap((machine) => withOnly(machine, (one) => one === status) ?? []);
    const title = sentence(STATUS_WORD[status]);
    return own.length === 0 ? [] : [{ key: status, title, machines: own }];
  });
  return undated.length === 0 ? groups : [...groups, found];
}
