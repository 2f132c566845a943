import { acceptVisits, VISIT_NEEDS, type MachineId, type NewVisit } from "@yonderfell/core";
import { useCommands } from "../../../session/useCommands.js";
import { visitIssueWords } from "../../../words/visitIssueWords.js";

/** Where visits are put: the machine, and the number of the last record of its log as it is seen. */
export interface VisitsOf {
  readonly machine: { readonly id: MachineId };
  readonly since: number | null;
}

/** The way to put visits of a machine into the book that nobody proposed. */
export function useAcceptVisits(): {
  /** Answers whether they are saved. */
  readonly accept: (of: VisitsOf, visits: readonly NewVisit[], told: string) => Promise<boolean>;
  readonly failure: string;
} {
  const { run, failure } = useCommands(visitIssueWords);
  const accept = async (
    { machine, since }: VisitsOf,
    visits: readonly NewVisit[],
    told: string,
  ): Promise<boolean> => {
    const saved = await run(
      (storage, around) =>
        storage.perform(
          machine.id,
          VISIT_NEEDS,
          (slice, { today, newId }) => acceptVisits(slice, visits, { today, newId, since }),
          around,
        ),
      told,
    );
    return saved !== null;
  };
  return { accept, failure };
}
