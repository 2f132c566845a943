import type { BoardMachine, Machine, Proposal, ProposalStanding } from "@yonderfell/core";
import { useState, type ReactElement, type RefObject } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { ShowMore } from "../../../ui/ShowMore.js";
import { machinePath } from "../../shared/paths.js";
import { TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { StandsOn } from "./StandsOn.js";
import {
  ABOUT_WORDS,
  answerWords,
  doWords,
  proposalReason,
  proposalTitle,
  saidWords,
} from "./learningWords.js";
import type { Answering } from "./useLearning.js";

const AT_FIRST = 20;
const MORE = 50;

const keyOf = ({ subject }: Proposal): string => JSON.stringify(subject);

const machineOf = (machines: readonly BoardMachine[], proposal: Proposal): Machine | undefined =>
  machines.find(({ machine }) => machine.id === proposal.subject.machine)?.machine;

/** What the records speak for, each with its reason, what it stands on, and the three answers. */
export function Proposals({
  open,
  answering,
  heading,
}: {
  readonly open: readonly ProposalStanding[];
  readonly answering: Answering;
  /** Has the focus where what had it was answered and is gone. */
  readonly heading: RefObject<HTMLHeadingElement | null>;
}): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const hand = useTableFile();
  const [shown, setShown] = useState(AT_FIRST);
  const rows = (): string[][] => [
    ["Machine", "About", "Proposed", "Why"],
    ...open.map(({ proposal }) => {
      const machine = machineOf(machines, proposal);
      return [
        ...[`${machine?.tag ?? ""} ${machine?.name ?? ""}`.trim(), ABOUT_WORDS[proposal.about]],
        ...[proposalTitle(proposal), proposalReason(proposal)],
      ];
    }),
  ];
  return (
    <section aria-labelledby="proposed" className="mt-3">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h2 id="proposed" ref={heading} tabIndex={-1} className="text-large font-bold">
          {open.length === 0 ? "Nothing is proposed" : "Proposed"}
        </h2>
        <p className="text-quiet">
          {open.length === 0
            ? "The records speak for no change now."
            : "Nothing changes by itself: each stands until it is answered."}
        </p>
        {open.length > 0 && <TableButton onPress={() => hand("proposals", rows())} />}
      </div>
      <ul className="mt-2">
        {open.slice(0, shown).map(({ proposal }) => (
          <OneProposal
            key={keyOf(proposal)}
            proposal={proposal}
            machine={machineOf(machines, proposal)}
            answering={answering}
          />
        ))}
      </ul>
      <ShowMore rest={open.length - shown} onMore={() => setShown(shown + MORE)} />
    </section>
  );
}

function OneProposal({
  proposal,
  machine,
  answering,
}: {
  readonly proposal: Proposal;
  readonly machine: Machine | undefined;
  readonly answering: Answering;
}): ReactElement {
  const title = proposalTitle(proposal);
  const about = `${machine?.tag ?? ""} ${title}`;
  return (
    <li className="grid gap-x-6 gap-y-1 border-t border-hairline py-3 md:grid-cols-[11rem_minmax(0,1fr)] print:break-inside-avoid">
      <p>
        <span className="block text-fine text-quiet">{ABOUT_WORDS[proposal.about]}</span>
        <Link to={machinePath(proposal.subject.machine)} className="hover:underline">
          <span className="mr-1 font-mono font-bold">{machine?.tag}</span>{" "}
          {machine?.name ?? proposal.subject.machine}
          <span className="sr-only">, {title}</span>
        </Link>
      </p>
      <div>
        <h3 className="text-large font-bold">{title}</h3>
        <p className="max-w-[72ch]">{proposalReason(proposal)}</p>
        <StandsOn proposal={proposal} />
        <div className="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            className={`${QUIET_BUTTON} border-clear font-semibold`}
            aria-label={`${doWords(proposal)}, ${about}`}
            onClick={() => answering.take(proposal, saidWords(proposal))}
          >
            {doWords(proposal)}
          </button>
          <button
            type="button"
            className={QUIET_BUTTON}
            aria-label={`Not now: ${about}`}
            onClick={() => answering.putOff(proposal, "not now", title)}
          >
            Not now
          </button>
          <button
            type="button"
            className={QUIET_BUTTON}
            aria-label={`Never for this machine: ${about}`}
            onClick={() => answering.putOff(proposal, "never", title)}
          >
            Never for this machine
          </button>
        </div>
      </div>
    </li>
  );
}

/** What was answered in a way that still holds, and the way back. */
export function Aside({
  aside,
  answering,
}: {
  readonly aside: readonly ProposalStanding[];
  readonly answering: Answering;
}): ReactElement | null {
  const machines = useAppSelector((state) => state.board.machines);
  if (aside.length === 0) return null;
  return (
    <section aria-labelledby="aside" className="mt-8 print:hidden">
      <h2 id="aside" className="text-large font-bold">
        Set aside
      </h2>
      <ul>
        {aside.map(({ proposal, lesson }) => {
          const machine = machineOf(machines, proposal);
          const title = proposalTitle(proposal);
          return (
            lesson !== null && (
              <li
                key={keyOf(proposal)}
                className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-t border-hairline py-1.5"
              >
                <span>
                  <span className="mr-1 font-mono font-bold">{machine?.tag}</span> {title}
                  <span className="block text-fine text-quiet">{answerWords(lesson, title)}</span>
                </span>
                <button
                  type="button"
                  className={QUIET_BUTTON}
                  aria-label={`Bring it back: ${machine?.tag ?? ""} ${title}`}
                  onClick={() => answering.bring(lesson)}
                >
                  Bring it back
                </button>
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}
