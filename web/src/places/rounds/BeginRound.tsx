import { beginRound, type MachineId, type RoundIssue } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { useCommands } from "../../session/useCommands.js";
import { SelectField } from "../../ui/fields.js";
import { counted } from "../../words/format.js";
import { WhoField } from "../shared/atTheMachine/WhoField.js";
import { useWhoIsHere } from "../shared/atTheMachine/whoIsHere.js";
import { roundPath } from "../shared/paths.js";
import { roundIssueWords } from "./roundWords.js";
import { RoundsFrame } from "./RoundsFrame.js";
import { useChecklists, type Walkable } from "./useRounds.js";

const NEEDS = ["rounds"] as const;

/** Which machine is walked round, by which checklist: one press begins it. */
export default function BeginRound(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const machines = useAppSelector((state) => state.board.machines);
  const id = search.get("machine") ?? "";
  const machine = machines.find((one) => one.machine.id === id)?.machine;
  const checklists = useChecklists(machine?.kind ?? null);
  const { storage } = useBook();
  const people = useLiveOf("people", () => storage.list("people"), [storage]) ?? [];
  const [who, setWho] = useWhoIsHere();
  const { begin, failure } = useBeginning(id as MachineId, who);
  return (
    <RoundsFrame title="Begin a round">
      <div className="grid max-w-2xl gap-x-6 gap-y-2 sm:grid-cols-2">
        <SelectField
          label="Machine"
          value={machine === undefined ? "" : id}
          choices={[
            ["", "choose a machine"],
            ...machines.map(
              (one) => [one.machine.id, `${one.machine.tag} ${one.machine.name}`] as const,
            ),
          ]}
          onChange={(chosen) => setSearch({ machine: chosen }, { replace: true })}
        />
        <WhoField label="Who walks it" people={people} who={who} onWho={setWho} />
      </div>
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
      {machine !== undefined && (
        <ul className="mt-4 max-w-[60rem]">
          {(checklists ?? []).map((walkable) => (
            <li key={walkable.checklist.id} className="border-t border-hairline">
              <button
                type="button"
                className="grid min-h-14 w-full items-center gap-x-6 rounded-[3px] py-2 text-left hover:bg-wash sm:grid-cols-[minmax(0,1fr)_14rem_8rem]"
                onClick={() => void begin(walkable)}
              >
                <strong className="font-semibold">{walkable.checklist.name}</strong>
                <span className="text-quiet">{walkable.checklist.when}</span>
                <span className="text-quiet">
                  {counted((walkable.checklist.checks ?? []).length, "check")}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </RoundsFrame>
  );
}

function useBeginning(
  machine: MachineId,
  by: string,
): {
  readonly begin: (walkable: Walkable) => Promise<void>;
  readonly failure: string;
} {
  const { storage } = useBook();
  const navigate = useNavigate();
  const { run, failure } = useCommands<RoundIssue>(roundIssueWords);
  const begin = async (walkable: Walkable): Promise<void> => {
    await run(
      (_, around) =>
        storage.perform(
          machine,
          NEEDS,
          (slice, context) => beginRound(slice, { ...walkable, by }, context),
          around,
        ),
      "",
      ({ change }) => {
        const begun = change.records.find(({ section }) => section === "rounds");
        if (begun !== undefined) return navigate(roundPath({ id: begun.id, machine }));
        return undefined;
      },
    );
  };
  return { begin, failure };
}
