import type { Finding, FindingReckoning } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { NotebookPen, Plus, Wrench } from "lucide-react";
import { useMemo, useState, type ReactElement } from "react";
import { Link, useSearchParams } from "react-router";
import { useBook } from "../../session/openBook.js";
import { findingOpened } from "../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { EmptyPlace } from "../../ui/EmptyPlace.js";
import { Stone } from "../../ui/Stone.js";
import { beginPath } from "../../words/beginPath.js";
import {
  findingPath,
  findingStandsWords,
  findingTitle,
  foundWords,
} from "../../words/findingWords.js";
import { FindingDialog } from "../shared/findings/FindingDialog.js";
import { findingsInOrder, type ListedFinding } from "./findingsModel.js";
import { RoundsFrame } from "./RoundsFrame.js";
import { ClosedFindings } from "./ClosedFindings.js";

/** What was found over all machines and is not put right: the worst and soonest first, what was declined last. */
export default function FindingsPage(): ReactElement {
  const dispatch = useAppDispatch();
  const today = useAppSelector((state) => state.session.today);
  const machines = useAppSelector((state) => state.board.machines);
  const isReady = useAppSelector((state) => state.board.phase === "ready");
  const findings = useMemo(() => findingsInOrder(machines), [machines]);
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
      {findings.length > 0 && (
        <ul>
          {findings.map((listed) => (
            <FindingLine key={listed.reckoned.finding.id} {...listed} today={today} />
          ))}
        </ul>
      )}
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
      {withClosed && <ClosedFindings machines={machines} today={today} />}
      <FindingOfAddress />
    </RoundsFrame>
  );
}

/** The finding that the address asks for, opened over the list. */
function FindingOfAddress(): ReactElement | null {
  const [search, setSearch] = useSearchParams();
  const { storage } = useBook();
  const id = search.get("finding");
  const findings = useLiveQuery(() => storage.list("findings"), [storage]);
  const finding: Finding | undefined = findings?.find((one) => one.id === id);
  if (finding === undefined) return null;
  return (
    <FindingDialog
      key={finding.id}
      finding={finding}
      machine={finding.machine}
      onClose={() => setSearch({}, { replace: true })}
    />
  );
}

function FindingLine({
  machine: { machine },
  reckoned,
  today,
}: ListedFinding & { readonly today: Parameters<typeof findingStandsWords>[1] }): ReactElement {
  const { finding } = reckoned;
  const title = findingTitle(finding);
  return (
    <li className="grid items-start gap-x-5 gap-y-0.5 border-t border-hairline py-2.5 sm:grid-cols-[7rem_13rem_1fr_auto_auto]">
      <span className="flex items-center gap-2">
        {finding.verdict ? <Stone verdict={finding.verdict} /> : null}
        {finding.verdict ?? "not judged"}
      </span>
      <Link to={`/yard/${encodeURIComponent(machine.id)}`} className="hover:underline">
        <span className="mr-2 font-mono font-bold">{machine.tag}</span> {machine.name}
        <span className="sr-only">, {title}</span>
      </Link>
      <Link to={findingPath(finding.id)} className="block hover:underline max-sm:min-h-12">
        <strong className="font-semibold">{title}</strong>
        <span className="block text-fine text-quiet">{detailWords(reckoned)}</span>
        <span
          className={
            reckoned.status === "overdue" || reckoned.status === "due"
              ? "font-semibold text-due"
              : ""
          }
        >
          {findingStandsWords(reckoned, today)}
        </span>
      </Link>
      <Link
        to={beginPath(machine.id, "finding", finding.id)}
        aria-label={`Begin what puts right: ${title}`}
        className="flex min-h-10 items-center gap-1.5 text-clear max-sm:min-h-12"
      >
        <Wrench size={16} aria-hidden="true" />
        Begin
      </Link>
      <Link
        to={`/log/${encodeURIComponent(machine.id)}?closes=${encodeURIComponent(finding.id)}`}
        aria-label={`Log what puts right: ${title}`}
        className="flex min-h-10 items-center gap-1.5 text-clear max-sm:min-h-12"
      >
        <NotebookPen size={16} aria-hidden="true" />
        Log
      </Link>
    </li>
  );
}

/** What shows it and what puts it right, as far as it is said, and when it was found. */
function detailWords({ finding }: FindingReckoning): string {
  const { evidence, todo } = finding;
  return [foundWords(finding), evidence, todo ? `to do: ${todo}` : ""]
    .filter((part) => (part ?? "") !== "")
    .join(" · ");
}
