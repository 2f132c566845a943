import {
  capacityProposal,
  minutesProposal,
  type Machine,
  type MachineLearning,
  type Proposal,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { amount, figure, fullDate, sentence } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { Consumption } from "./Consumption.js";
import { FigureTable } from "./FigureTable.js";
import { LearnedPart } from "./LearnedPart.js";
import { EvidenceList } from "./StandsOn.js";
import { capacityRows, estimateRows, intervalRows } from "./learningRows.js";
import {
  adviceWords,
  between,
  estimateWords,
  litres,
  minutes,
  offWords,
  saidWords,
  turnWords,
} from "./learningWords.js";
import type { Answering } from "./useLearning.js";

interface OfOne {
  readonly of: MachineLearning;
  readonly machine: Machine;
}

/** All that the records of one machine teach. */
export function OfMachine({
  of,
  machine,
  answering,
}: OfOne & { readonly answering: Answering }): ReactElement {
  return (
    <>
      <Consumption trends={of.consumption} machine={machine} />
      <Capacities of={of} machine={machine} answering={answering} />
      <Estimates of={of} machine={machine} answering={answering} />
      <Intervals of={of} machine={machine} />
    </>
  );
}

function Capacities({
  of,
  machine,
  answering,
}: OfOne & { readonly answering: Answering }): ReactElement {
  return (
    <LearnedPart
      id="capacities"
      title="What it takes, beside what is printed"
      none={
        of.capacities.length > 0
          ? null
          : "Too little is known: no fill that ended on the mark is in the log."
      }
      file={() => capacityRows(of.capacities)}
    >
      <FigureTable
        label="Capacities as a table"
        columns={[
          { label: "System" },
          { label: "condition" },
          { label: "middle of fills", isFigure: true },
          { label: "from and to", isFigure: true },
          { label: "fills", isFigure: true },
          { label: "worked by" },
          { label: "which is" },
          { label: "to take over" },
        ]}
        rows={of.capacities.map((one) => ({
          key: `${one.fluid.id} ${one.condition}`,
          cells: [
            sentence(one.fluid.system),
            one.condition,
            litres(one.median),
            between(one.learned.low ?? 0, one.learned.high ?? 0, litres),
            figure(one.learned.fills),
            one.working === null
              ? "none"
              : `${figure(one.working.quantity.value, 2)} ${one.working.quantity.unit}, ${one.working.source}`,
            offWords(one.off),
            one.differs && (
              <TakeOver
                key="take"
                proposal={capacityProposal(machine.id, one)}
                label={`${one.fluid.system}, ${one.condition}`}
                answering={answering}
              />
            ),
          ],
        }))}
      />
    </LearnedPart>
  );
}

/** Takes over what the records say in place of what is written down. */
function TakeOver({
  proposal,
  label,
  answering,
}: {
  readonly proposal: Proposal;
  /** What it is of, for those who hear it. */
  readonly label: string;
  readonly answering: Answering;
}): ReactElement {
  return (
    <button
      type="button"
      className={QUIET_BUTTON}
      aria-label={`Take it over: ${label}`}
      onClick={() => answering.take(proposal, saidWords(proposal))}
    >
      Take it over
    </button>
  );
}

function Estimates({
  of,
  machine,
  answering,
}: OfOne & { readonly answering: Answering }): ReactElement {
  const currency = useCurrency();
  return (
    <LearnedPart
      id="estimates"
      title="Said to take, and taken"
      none={
        of.estimates.length > 0
          ? null
          : "Too little is known: no task was done by itself with its minutes written down."
      }
      file={() => estimateRows(of.estimates)}
    >
      <FigureTable
        label="Estimates as a table"
        columns={[
          { label: "Task" },
          { label: "said", isFigure: true },
          { label: "taken", isFigure: true },
          { label: "which is" },
          { label: "from and to", isFigure: true },
          { label: "times", isFigure: true },
          { label: "reckoned cost", isFigure: true },
          { label: "what it cost", isFigure: true },
          { label: "to take over" },
        ]}
        rows={of.estimates.map((one) => ({
          key: one.task.id,
          cells: [
            one.task.name,
            one.estimated === null ? "none" : minutes(one.estimated),
            minutes(one.median),
            estimateWords(one),
            between(one.low, one.high, minutes),
            figure(one.times),
            `${one.isWhole ? "" : "at least "}${money(one.estimatedCost, currency)}`,
            one.cost === null ? "not known" : money(one.cost, currency),
            one.minutes !== one.estimated && (
              <TakeOver
                key="take"
                proposal={minutesProposal(machine.id, one)}
                label={`minutes of ${one.task.name}`}
                answering={answering}
              />
            ),
          ],
        }))}
      />
    </LearnedPart>
  );
}

function Intervals({ of, machine }: OfOne): ReactElement {
  return (
    <LearnedPart
      id="intervals"
      title="Intervals, and what was found at their turns"
      none={
        of.intervals.length > 0
          ? null
          : "Too little is known: at no turn of a task by a meter was anything measured, found, sampled or tested."
      }
      file={() => intervalRows(of.intervals)}
    >
      <ul>
        {of.intervals.map((seen) => {
          return (
            <li key={seen.task.id} className="border-t border-hairline py-2">
              <p>
                <strong>{seen.task.name}</strong>, every {amount(seen.every, seen.unit)}:{" "}
                {adviceWords(seen)}
              </p>
              <ul className="pl-4">
                {seen.turns.map((turn) => (
                  <li key={turn.entry} className="py-0.5">
                    {fullDate(turn.day)} {turnWords(turn, seen)}
                    <EvidenceList machine={machine.id} turn={turn} />
                  </li>
                ))}
              </ul>
            </li>
          );
        })}
      </ul>
    </LearnedPart>
  );
}
