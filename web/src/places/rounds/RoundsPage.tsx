import { dayOf, type ListedRound } from "@yonderfell/core";
import { Plus } from "lucide-react";
import { useMemo, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { EmptyPlace } from "../../ui/EmptyPlace.js";
import { Stone } from "../../ui/Stone.js";
import { findingPath, findingStandsWords, findingTitle } from "../../words/findingWords.js";
import { counted, shortDate } from "../../words/format.js";
import { findingsInOrder } from "./findingsModel.js";
import { Far } from "../shared/atTheMachine/Far.js";
import { roundPath } from "../shared/paths.js";
import { farWords } from "./roundWords.js";
import { RoundsFrame } from "./RoundsFrame.js";
import { useRounds } from "./useRounds.js";

/** The rounds under way, and those walked lately. */
export default function RoundsPage(): ReactElement {
  const { rounds: found, failure } = useRounds();
  return (
    <RoundsFrame
      title="Rounds"
      aside={
        <Link to="/rounds/new" className={PRIMARY_BUTTON}>
          <Plus size={18} aria-hidden="true" />
          Begin a round
        </Link>
      }
    >
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure !== "" && `The rounds could not be listed: ${failure}. Load the page anew.`}
      </p>
      {found?.underWay.length === 0 && found.lately.length === 0 && (
        <EmptyPlace words="Nothing was looked at yet. A round goes round a machine by a checklist: look, measure, judge. What is not sound becomes a finding at once." />
      )}
      {found !== null && found.underWay.length > 0 && (
        <RoundList title="Under way" rounds={found.underWay} />
      )}
      <OpenFindings />
      {found !== null && found.lately.length > 0 && (
        <RoundList title="Walked lately" rounds={found.lately} />
      )}
    </RoundsFrame>
  );
}

/** So many of the open findings stand here; all of them in their own view. */
const WORST = 8;

/** What was found and is not put right, over all machines: the worst and soonest. */
function OpenFindings(): ReactElement | null {
  const today = useAppSelector((state) => state.session.today);
  const machines = useAppSelector((state) => state.board.machines);
  const all = useMemo(() => findingsInOrder(machines), [machines]);
  if (all.length === 0) return null;
  return (
    <section className="mt-4">
      <h2 className="text-large font-bold">{counted(all.length, "finding")} open</h2>
      <ul>
        {all.slice(0, WORST).map(({ machine: { machine }, reckoned }) => (
          <li key={reckoned.finding.id} className="border-t border-hairline">
            <Link
              to={findingPath(reckoned.finding.id)}
              className="grid min-h-12 items-center gap-x-6 rounded-[3px] py-1.5 hover:bg-wash md:grid-cols-[4rem_minmax(0,1fr)_minmax(0,1fr)_11rem]"
            >
              <span className="font-mono text-large font-bold">{machine.tag}</span>
              <strong className="font-semibold">{findingTitle(reckoned.finding)}</strong>
              <span>{findingStandsWords(reckoned, today)}</span>
              <span className="flex items-center gap-2">
                {reckoned.finding.verdict ? <Stone verdict={reckoned.finding.verdict} /> : null}
                {reckoned.finding.verdict ?? "not judged"}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function RoundList({
  title,
  rounds,
}: {
  readonly title: string;
  readonly rounds: readonly ListedRound[];
}): ReactElement {
  return (
    <section className="mt-4">
      <h2 className="text-large font-bold">{title}</h2>
      <ul>
        {rounds.map((listed) => (
          <RoundLine key={listed.round.id} {...listed} />
        ))}
      </ul>
    </section>
  );
}

function RoundLine({ round, name, machine, done, of, found }: ListedRound): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  return (
    <li className="border-t border-hairline">
      <Link
        to={roundPath(round)}
        className="grid min-h-12 items-center gap-x-6 gap-y-1 rounded-[3px] py-2.5 hover:bg-wash md:grid-cols-[4rem_minmax(0,1fr)_minmax(0,1fr)_11rem]"
      >
        <span className="font-mono text-large font-bold">{machine.tag}</span>
        <span>
          <strong className="font-semibold">{name}</strong>
          <span className="block text-fine text-quiet">{machine.name}</span>
        </span>
        <span>
          {found === 0 ? (
            <span className="text-quiet">nothing found</span>
          ) : (
            <strong className="text-due">{counted(found, "thing")} found</strong>
          )}
          <span className="block text-fine text-quiet">{shortDate(dayOf(round.date), today)}</span>
        </span>
        <span>
          {round.finished !== true && <Far done={done} of={of} />}
          <span className="block text-fine text-quiet">{farWords(done, of)}</span>
        </span>
      </Link>
    </li>
  );
}
