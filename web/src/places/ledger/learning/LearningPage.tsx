import type { ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { SelectField } from "../../../ui/fields.js";
import { PrintButton } from "../../shared/TakeAwayButtons.js";
import { LedgerPage } from "../LedgerPage.js";
import { OfMachine } from "./OfMachine.js";
import { PartLivesTable } from "./PartLivesTable.js";
import { Aside, Proposals } from "./Proposals.js";
import { useFocusKept } from "./useFocusKept.js";
import { useAnswering, useLearning } from "./useLearning.js";

const ALL = "";

/** What the records teach: what they speak for, to be answered; how long parts last; and all that is known of one machine. */
export default function LearningPage(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const machines = useAppSelector((state) => state.board.machines);
  const asked = search.get("machine") ?? ALL;
  const machine = machines.find((one) => one.machine.id === asked)?.machine ?? null;
  const { answer, failure } = useLearning(machine?.id ?? null);
  const answering = useAnswering();
  // What was told of another machine is not shown under this one's name.
  const learned = answer?.machine === (machine?.id ?? null) ? answer.learned : null;
  const heading = useFocusKept(learned);
  return (
    <LedgerPage
      title={machine === null ? "Learning" : `${machine.tag} ${machine.name}: learning`}
      aside={
        <>
          <SelectField
            label="Machine"
            value={machine?.id ?? ALL}
            choices={[
              [ALL, "all machines"] as const,
              ...machines.map(
                (one) => [one.machine.id, `${one.machine.tag} ${one.machine.name}`] as const,
              ),
            ]}
            onChange={(id) => setSearch(id === ALL ? {} : { machine: id }, { replace: true })}
          />
          <PrintButton />
        </>
      }
    >
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure === "" ? answering.failure : `It could not be reckoned: ${failure}`}
      </p>
      {learned === null && failure === "" && <p className="py-6 text-quiet">Reckoning.</p>}
      {learned !== null && (
        <>
          <Proposals open={learned.learning.open} answering={answering} heading={heading} />
          {learned.learning.of !== null && machine !== null && (
            <OfMachine of={learned.learning.of} machine={machine} answering={answering} />
          )}
          <PartLivesTable
            lives={learned.learning.lives}
            parts={learned.parts}
            isOfOne={machine !== null}
          />
          {machine === null && (
            <p className="mt-4 text-quiet">
              What a machine takes between services, what it holds, how long work on it takes and
              what its turns say of their intervals: choose it above.
            </p>
          )}
          <Aside aside={learned.learning.aside} answering={answering} />
        </>
      )}
    </LedgerPage>
  );
}
