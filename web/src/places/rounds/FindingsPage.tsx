import type { Finding } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { groupBy } from "es-toolkit";
import { Plus } from "lucide-react";
import { useMemo, useState, type ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../../session/openBook.js";
import { findingOpened } from "../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { EmptyPlace } from "../../ui/EmptyPlace.js";
import { FindingDialog } from "../shared/findings/FindingDialog.js";
import { FindingLine } from "./FindingLine.js";
import {
  findingsAsked,
  findingsInOrder,
  type FoundAround,
  type ListedFinding,
} from "./findingsModel.js";
import { FindingsTools, useAsked } from "./FindingsTools.js";
import { RoundsFrame } from "./RoundsFrame.js";
import { ClosedFindings } from "./ClosedFindings.js";

/** What was found over all machines and is not put right: the worst and soonest first, what was declined last. */
export default function FindingsPage(): ReactElement {
  const dispatch = useAppDispatch();
  const machines = useAppSelector((state) => state.board.machines);
  const isReady = useAppSelector((state) => state.board.phase === "ready");
  const findings = useMemo(() => findingsInOrder(machines), [machines]);
  const asked = useAsked();
  const shown = findingsAsked(findings, asked);
  const around = useFound();
  const [withClosed, setWithClosed] = useState(false);
  return (
    <RoundsFrame
      title="Findings"
      aside={
        <button
          type="button"
          className={PRIMARY_BUTTON}
          onClick={() => dispatch(findingOpened(""))}
        >
          <Plus size={18} aria-hidden="true" />
          Note a finding
        </button>
      }
    >
      <p className="mb-4 text-quiet">
        What was found on a machine, and what is decided about it. It stays here until work puts it
        right or somebody closes it.
      </p>
      {findings.length > 0 && <FindingsTools findings={findings} shown={shown} />}
      <Lines {...{ shown, around }} />
      {isReady && findings.length === 0 && (
        <EmptyPlace words="Nothing is open. What is found in passing, by a driver or at the machine, is noted here: what it is, how bad, and what is decided." />
      )}
      <button
        type="button"
        aria-expanded={withClosed}
        className={`${QUIET_BUTTON} mt-5`}
        onClick={() => setWithClosed(!withClosed)}
      >
        {withClosed ? "Hide what is closed" : "What is closed"}
      </button>
      {withClosed && around !== undefined && <ClosedFindings {...{ machines, around }} />}
      <FindingOfAddress findings={around?.findings ?? []} />
    </RoundsFrame>
  );
}

/** The findings that are shown, each beside what was ever found on its machine. */
function Lines({
  shown,
  around,
}: {
  readonly shown: readonly ListedFinding[];
  readonly around: FoundAround | undefined;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const besideOf = useMemo(
    () => groupBy(around?.findings ?? [], ({ machine }) => machine),
    [around],
  );
  return (
    <ul>
      {shown.map((listed) => (
        <FindingLine
          key={listed.reckoned.finding.id}
          {...{ ...listed, today }}
          people={around?.people ?? []}
          beside={besideOf[listed.machine.machine.id] ?? []}
        />
      ))}
    </ul>
  );
}

/** The finding that the address asks for, opened over the list. */
function FindingOfAddress({
  findings,
}: {
  readonly findings: readonly Finding[];
}): ReactElement | null {
  const [search, setSearch] = useSearchParams();
  const id = search.get("finding");
  const finding = findings.find((one) => one.id === id);
  if (finding === undefined) return null;
  return (
    <FindingDialog
      key={finding.id}
      finding={finding}
      machine={finding.machine}
      onClose={() => {
        const next = new URLSearchParams(search);
        next.delete("finding");
        setSearch(next, { replace: true });
      }}
    />
  );
}

/** All that was ever found, and who there is; undefined until read. */
function useFound(): FoundAround | undefined {
  const { storage } = useBook();
  return useLiveQuery(async () => {
    const [findings, people] = await Promise.all([
      storage.list("findings"),
      storage.list("people"),
    ]);
    return { findings, people };
  }, [storage]);
}
