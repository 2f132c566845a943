import {
  beginRound,
  type Checklist,
  type ListedRound,
  type MachineId,
  type RoundIssue,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { useCommands } from "../../session/useCommands.js";
import { SelectField } from "../../ui/fields.js";
import { counted } from "../../words/format.js";
import { WhoField } from "../shared/atTheMachine/WhoField.js";
import { useWhoIsHere } from "../shared/atTheMachine/whoIsHere.js";
import { roundPath } from "../shared/paths.js";
import { farWords, roundIssueWords } from "./roundWords.js";
import { RoundsFrame } from "./RoundsFrame.js";
import { useChecklists, useRounds, type Walkable } from "./useRounds.js";

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
  const { rounds } = useRounds();
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
            <ListLine
              key={walkable.checklist.id}
              checklist={walkable.checklist}
              underWay={(rounds?.underWay ?? []).find(
                ({ round }) =>
                  round.machine === machine.id && round.checklist === walkable.checklist.id,
              )}
              onBegin={() => void begin(walkable)}
            />
          ))}
        </ul>
      )}
    </RoundsFrame>
  );
}

/** A checklist to begin by; where a round by it is under way, the way to go on with that. */
function ListLine({
  checklist,
  underWay,
  onBegin,
}: {
  readonly checklist: Checklist;
  readonly underWay: ListedRound | undefined;
  readonly onBegin: () => void;
}): ReactElement {
  return (
    <li className="border-t border-hairline">
      <button
        type="button"
        className="grid min-h-14 w-full items-center gap-x-6 rounded-[3px] py-2 text-left hover:bg-wash sm:grid-cols-[minmax(0,1fr)_14rem_8rem]"
        onClick={onBegin}
      >
        <strong className="font-semibold">{checklist.name}</strong>
        <span className="text-quiet">{checklist.when}</span>
        <span className="text-quiet">{counted((checklist.checks ?? []).length, "check")}</span>
      </button>
      {underWay !== undefined && (
        <Link
          to={roundPath(underWay.round)}
          className="flex min-h-12 items-center font-semibold text-clear underline"
        >
          Under way, {farWords(underWay.done, underWay.of)}: go on with it
          <span className="sr-only">, {checklist.name}</span>
        </Link>
      )}
    </li>
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
