import {
  joined,
  takeFleetChanges,
  VISIT_NEEDS,
  type FleetChange,
  type Slice,
  type VisitIssue,
} from "@yonderfell/core";
import { groupBy } from "es-toolkit";
import type { Command } from "../../../data/bookStorage.js";
import { useCommands } from "../../../session/useCommands.js";
import { visitIssueWords } from "../../../words/visitIssueWords.js";
import { changesWords } from "./fleetWords.js";

/** The way to take changes of a fleet plan into the book, all of them or none. */
export function useTakeFleet(): {
  /** Answers whether they are saved. */
  readonly take: (changes: readonly FleetChange[]) => Promise<boolean>;
  readonly failure: string;
} {
  const { run, failure } = useCommands(visitIssueWords);
  const take = async (changes: readonly FleetChange[]): Promise<boolean> => {
    const byMachine = groupBy(changes, ({ machine }) => machine.id);
    const ids = [...new Set(changes.map(({ machine }) => machine.id))];
    const command: Command<readonly Slice<(typeof VISIT_NEEDS)[number]>[], VisitIssue> = (
      slices,
      { today, newId },
    ) =>
      joined(
        slices.map((slice) =>
          takeFleetChanges(slice, byMachine[slice.machines[0].id] ?? [], { today, newId }),
        ),
      );
    const saved = await run(
      (storage, around) => storage.performOn(ids, VISIT_NEEDS, command, around),
      `Taken into the book: ${changesWords(changes)}.`,
    );
    return saved !== null;
  };
  return { take, failure };
}
