import { readAnswer, type LabAnswer, type Sample } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { CheckField } from "../../../ui/fields.js";
import { sentence } from "../../../words/format.js";
import { doubtWords, labFigure, labUnit } from "./sampleWords.js";
import type { useSampling } from "./useSampling.js";

/** An answer of the laboratory as it would be kept, with all that must be looked at first; nothing is taken by itself. */
export function LabAnswered({
  sample,
  label,
  answer,
  sampling,
}: {
  readonly sample: Sample;
  /** The label it answers for. */
  readonly label: string;
  readonly answer: LabAnswer;
  readonly sampling: ReturnType<typeof useSampling>;
}): ReactElement {
  const [isLookedAt, setIsLookedAt] = useState(false);
  const { result, doubts } = readAnswer(sample, label, answer);
  const before = sample.result?.values ?? null;
  return (
    <div className="space-y-3">
      <Answered values={result.values} before={before} />
      {result.remarks && <p>“{result.remarks}”</p>}
      {doubts.length > 0 && (
        <div className="border-l-4 border-soon pl-3">
          <ul>
            {doubts.map((doubt) => (
              <li key={JSON.stringify(doubt)}>{doubtWords(doubt)}</li>
            ))}
          </ul>
          <CheckField
            label="I have looked at it, and it is right so"
            value={isLookedAt}
            onChange={setIsLookedAt}
          />
        </div>
      )}
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className={PRIMARY_BUTTON}
          disabled={doubts.length > 0 && !isLookedAt}
          onClick={() => void sampling.answer(result, before !== null)}
        >
          {before === null ? "Keep the answer" : "Keep this one in its place"}
        </button>
        {before !== null && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => void sampling.leave(answer.number)}
          >
            Leave it: the one before holds
          </button>
        )}
      </div>
    </div>
  );
}

/** The figures as they would be kept, beside those that are kept already. */
function Answered({
  values,
  before,
}: {
  readonly values: Readonly<Record<string, number>>;
  readonly before: Readonly<Record<string, number>> | null;
}): ReactElement {
  return (
    <ul className="grid gap-x-8 py-1 tabular-nums sm:grid-cols-3">
      {Object.entries(values).map(([name, value]) => (
        <li key={name} className="flex gap-2 border-t border-hairline py-0.5">
          <span className="grow">{sentence(name)}</span>
          {before !== null && (
            <span className="text-quiet">{labFigure(before[name] ?? value)} before</span>
          )}
          <strong>
            {labFigure(value)} {labUnit(name)}
          </strong>
        </li>
      ))}
    </ul>
  );
}
