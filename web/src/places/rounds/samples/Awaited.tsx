import { oilLifeOf, type LabAnswer, type Machine, type Sample } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { sendToLaboratory, type LabReply } from "../../../work/laboratory.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { TextField } from "../../../ui/fields.js";
import { useNow } from "../../shared/atTheMachine/useNow.js";
import { momentWords } from "../../../words/format.js";
import { AnswerByHand } from "./AnswerByHand.js";
import { LabAnswered } from "./LabAnswered.js";
import { whereWords } from "./sampleWords.js";
import { useLabReport } from "./useLabReport.js";
import { useSampling } from "./useSampling.js";

interface AwaitedProps {
  readonly machine: Machine;
  readonly sample: Sample;
}

/** The latest answer of the laboratory that nobody has looked at; null where there is none. */
function newAnswer(reply: LabReply | null, { result }: Sample): LabAnswer | null {
  if (reply?.code !== "reported") return null;
  const last = reply.report.answers.at(-1) ?? null;
  return last !== null && last.number > (result?.seen ?? (result ? 1 : 0)) ? last : null;
}

/** A sample that waits: to be sent, for its answer, or for somebody to look at an answer; nothing where nothing waits. */
export function Awaited({ machine, sample }: AwaitedProps): ReactElement | null {
  const reply = useLabReport(sample);
  const sampling = useSampling(sample);
  const answer = newAnswer(reply, sample);
  if (sample.result && answer === null) return null;
  return (
    <section
      aria-label={`Sample ${sample.label ?? ""}`}
      className="mb-6 border-2 border-clear bg-raised p-4 print:hidden"
    >
      <h2 className="text-large font-bold">
        <span className="font-mono">{sample.label}</span>:{" "}
        {answer === null ? whereWords(sample) : "the laboratory has answered"}
      </h2>
      {answer !== null && reply?.code === "reported" ? (
        <LabAnswered {...{ sample, answer, sampling }} label={reply.report.label} />
      ) : (
        <Waiting {...{ machine, sample, sampling, reply }} />
      )}
      <p role="alert" className="font-semibold text-due empty:hidden">
        {sampling.failure}
      </p>
    </section>
  );
}

type WaitingProps = AwaitedProps & {
  readonly sampling: ReturnType<typeof useSampling>;
  readonly reply: LabReply | null;
};

function Waiting({ machine, sample, sampling, reply }: WaitingProps): ReactElement {
  const [isAbsent, setIsAbsent] = useState(false);
  const isSent = Boolean(sample.sent);
  const isLost = reply?.code === "unknown";
  const send = async (): Promise<void> => {
    const found = await sendToLaboratory(sample.label ?? "", oilLifeOf(sample, machine));
    setIsAbsent(found.code !== "reported");
    if (found.code === "reported") {
      await sampling.sent({ lab: found.report.laboratory, online: true });
    }
  };
  return (
    <div className="space-y-3">
      <p role="status">{isAbsent ? ABSENT : isSent && <Stands reply={reply} />}</p>
      <div className="flex flex-wrap gap-3">
        {(!isSent || isLost) && (
          <button type="button" className={PRIMARY_BUTTON} onClick={() => void send()}>
            {isSent ? "Send it again" : "Send it to the simulated laboratory"}
          </button>
        )}
        {!isSent && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => void sampling.sent({ lab: sample.lab ?? "", online: false })}
          >
            It went by post
          </button>
        )}
      </div>
      <details className="border-t border-hairline">
        <summary className="min-h-11 cursor-pointer py-2 text-clear max-sm:min-h-12">
          Type what a laboratory answered
        </summary>
        <AnswerByHand sample={sample} onAnswer={sampling.answer} />
      </details>
      <Strike onStrike={sampling.strike} />
    </div>
  );
}

const ABSENT =
  "The laboratory cannot be reached from here: it is there while the program’s server runs. Type what it answered, or try again later.";

/** How far the laboratory is, as it says itself. */
function Stands({ reply }: { readonly reply: LabReply | null }): ReactElement | null {
  const now = useNow(5000);
  if (reply === null) return null;
  switch (reply.code) {
    case "absent":
      return <>{ABSENT}</>;
    case "unknown":
      return (
        <strong className="text-due">
          The laboratory knows nothing of this label. Was it lost on the way? Send it again, or
          strike it out.
        </strong>
      );
    case "reported": {
      const { laboratory, promised } = reply.report;
      const isLate = Date.parse(promised) < now;
      return isLate ? (
        <strong className="text-soon-text">
          Late: {laboratory} promised it for {momentWords(promised)}.
        </strong>
      ) : (
        <>
          {laboratory} promises it for {momentWords(promised)}.
        </>
      );
    }
  }
}

/** Strikes a sample out, with why. */
function Strike({
  onStrike,
}: {
  readonly onStrike: (why: string) => Promise<boolean>;
}): ReactElement {
  const [why, setWhy] = useState("");
  return (
    <details className="border-t border-hairline">
      <summary className="min-h-11 cursor-pointer py-2 text-clear max-sm:min-h-12">
        Strike it out
      </summary>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (why.trim() !== "") void onStrike(why);
        }}
      >
        <TextField label="Why" value={why} onChange={setWhy} isRequired />
        <button type="submit" className={QUIET_BUTTON} disabled={why.trim() === ""}>
          Strike it out
        </button>
      </form>
    </details>
  );
}
