import {
  dayOf,
  findingOfSample,
  intervalChanges,
  noteSample,
  takeSampledInterval,
  type Fluid,
  type IntervalChange,
  type JudgedSample,
  type KeepIssue,
  type Machine,
  type MachineBook,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useCommands } from "../../../session/useCommands.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { CheckField } from "../../../ui/fields.js";
import { amount, fullDate } from "../../../words/format.js";
import { findingPath } from "../../../words/findingWords.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";
import { ADVICE_WORDS } from "../../../words/sampleAdvice.js";
import { sampleIssueWords } from "./sampleWords.js";

interface FollowsProps {
  readonly machine: Machine;
  readonly fluid: Fluid;
  readonly book: MachineBook;
  readonly judged: JudgedSample;
}

/** What follows from a sample, each by a person's press: a finding, another interval, a test that postpones the change. */
export function Follows(props: FollowsProps): ReactElement {
  return (
    <div className="space-y-4">
      <h3 className="font-bold">What follows</h3>
      <AsFinding {...props} />
      <Intervals {...props} />
      <AsTest {...props} />
    </div>
  );
}

/** Makes what stands out a finding, or says which it is. */
function AsFinding({ machine, fluid, book, judged }: FollowsProps): ReactElement | null {
  const { run, failure } = useCommands(sampleIssueWords);
  const found = findingOfSample(judged, fluid.system);
  if (found === null) return null;
  const known = book.findings.find(
    ({ kind, evidence }) => kind === found.kind && evidence === found.evidence,
  );
  const note = (): void =>
    void run(
      (storage, around) =>
        storage.perform(
          machine.id,
          ["findings"],
          (slice, context) => noteSample(slice, judged, fluid.system, context),
          around,
        ),
      "Noted as a finding.",
    );
  return (
    <div>
      <p>{found.evidence}</p>
      {known === undefined ? (
        <button type="button" className={QUIET_BUTTON} onClick={note}>
          Make it a finding: {found.decision === "now" ? "stop, now" : found.decision}
        </button>
      ) : (
        <Link to={findingPath(known.id)} className="text-clear underline">
          It is a finding already
        </Link>
      )}
      <Failure words={failure} />
    </div>
  );
}

const Failure = ({ words }: { readonly words: string }): ReactElement => (
  <p role="alert" className="font-semibold text-due empty:hidden">
    {words}
  </p>
);

/** The intervals that the advice speaks for changing. */
function Intervals({ machine, fluid, book, judged }: FollowsProps): ReactElement {
  const { sample, advice } = judged;
  const meter = sample.meter ?? machine.meters?.[0]?.id ?? null;
  const changes =
    meter === null ? [] : intervalChanges(advice, { fluid: fluid.id, meter }, book.tasks, machine);
  const by = `sample ${sample.label ?? sample.id}`;
  const taken = book.tasks.filter(
    ({ regimeReason }) => regimeReason?.startsWith(`${by} of `) === true,
  );
  const open = changes.filter(({ task }) => !taken.some(({ id }) => id === task.id));
  return (
    <>
      {taken.map(({ id, name, regimeReason }) => (
        <p key={id}>
          <strong>{name}</strong> goes by it: {regimeReason}
        </p>
      ))}
      {open.map((change) => (
        <TakeInterval key={change.task.id} {...{ change, machine, by, judged }} />
      ))}
      {taken.length === 0 && open.length === 0 && (
        <p className="text-quiet">
          {advice === "keep"
            ? "No interval is to be changed."
            : "No task of its plan has an interval on this meter to change."}
        </p>
      )}
    </>
  );
}

function TakeInterval({
  change,
  machine,
  by,
  judged,
}: {
  readonly change: IntervalChange;
  readonly machine: Machine;
  readonly by: string;
  readonly judged: JudgedSample;
}): ReactElement {
  const { task, meter, from, to, maker, isPast } = change;
  const [isKnown, setIsKnown] = useState(false);
  const { run, failure } = useCommands<KeepIssue>(keepIssueWords);
  const unit = (machine.meters ?? []).find(({ id }) => id === meter)?.unit ?? "h";
  const reason = `${by} of ${fullDate(dayOf(judged.sample.date))}: ${ADVICE_WORDS[judged.advice].toLowerCase()}; was every ${amount(from, unit)}`;
  return (
    <div className="space-y-1">
      <p>
        <strong>{task.name}</strong>: every {amount(from, unit)}, by this sample every{" "}
        <strong>{amount(to, unit)}</strong>
        {maker !== null && ` (handbook ${amount(maker, unit)})`}
      </p>
      {isPast && (
        <>
          <p className="font-semibold text-due">
            That is past the handbook. A warranty may end by it, and the maker answers for nothing.
          </p>
          <CheckField label="I know, and take it on myself" value={isKnown} onChange={setIsKnown} />
        </>
      )}
      <button
        type="button"
        className={QUIET_BUTTON}
        disabled={isPast && !isKnown}
        onClick={() =>
          void run(
            (storage, around) =>
              storage.perform(
                machine.id,
                ["tasks", "lessons"],
                (slice, context) => takeSampledInterval(slice, { change, said: reason }, context),
                around,
              ),
            "Saved.",
          )
        }
      >
        Take it over for {task.name}
      </button>
      <Failure words={failure} />
    </div>
  );
}

/** The way to log the sample as a test that postpones the change, where it says the oil is sound. */
function AsTest({ machine, fluid, book, judged }: FollowsProps): ReactElement | null {
  const task = book.tasks.find(({ uses }) => (uses ?? []).some((use) => use.fluid === fluid.id));
  const isSound = judged.advice === "keep" || judged.advice === "extend";
  if (!isSound || task === undefined) return null;
  return (
    <p>
      <Link
        to={`/log/${encodeURIComponent(machine.id)}?tested=${encodeURIComponent(task.id)}`}
        className="text-clear underline"
      >
        Log it as a test of {task.name}
      </Link>
      , with the day or figure to look again: the change waits until then.
    </p>
  );
}
