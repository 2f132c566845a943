import type { CsvDoubt } from "@yonderfell/core";
import type { ReactElement } from "react";
import { CheckField } from "../../ui/fields.js";
import { counted } from "../../words/format.js";
import { doubtGroupWords, tableDoubtWords } from "../../words/tableWords.js";
import type { DoubtGroup, DoubtQuestion, TableChoices, TablePlan } from "@yonderfell/core";
import { RowCells } from "./ShownItems.js";

interface DoubtGroupsProps {
  readonly plan: TablePlan;
  readonly choices: TableChoices;
  readonly onCode: (code: CsvDoubt["code"], isTaken: boolean) => void;
  readonly onAnswer: (key: string, isTaken: boolean) => void;
}

/** What is in doubt, by its reason: each explained, to be taken in or left out together or one by one; what is the same for many rows is asked once. */
export function DoubtGroups({ plan, choices, onCode, onAnswer }: DoubtGroupsProps): ReactElement {
  return (
    <>
      {plan.groups.map((group) => (
        <Group
          key={group.code}
          group={group}
          choices={choices}
          onCode={onCode}
          onAnswer={onAnswer}
        />
      ))}
    </>
  );
}

function Group({
  group,
  choices,
  onCode,
  onAnswer,
}: Omit<DoubtGroupsProps, "plan"> & { readonly group: DoubtGroup }): ReactElement {
  const { code, count, questions } = group;
  const [what, then] = doubtGroupWords(code, count);
  const isTaken = choices.codes.includes(code);
  const rest = count - questions.reduce((sum, question) => sum + question.count, 0);
  return (
    <section
      aria-labelledby={`doubt-${code}`}
      className="border-l-4 border-due bg-raised px-4 py-3"
      data-doubt={code}
    >
      <h3 id={`doubt-${code}`} className="font-bold">
        {what}
      </h3>
      <CheckField
        label={
          <span>
            Take {count === 1 ? "it" : "them"} in. <span className="text-quiet">{then}</span>
          </span>
        }
        value={isTaken}
        onChange={(value) => onCode(code, value)}
      />
      <ul className="max-h-80 overflow-y-auto" tabIndex={0} aria-label={what}>
        {questions.map((question) => (
          <li key={question.key} className="border-t border-hairline py-1">
            <label className="flex items-start gap-2.5">
              <input
                type="checkbox"
                className="mt-0.5 size-5 shrink-0 accent-(--clear)"
                checked={choices.answers.get(question.key) ?? isTaken}
                onChange={(event) => onAnswer(question.key, event.target.checked)}
              />
              <Question question={question} />
            </label>
          </li>
        ))}
      </ul>
      {rest > 0 && (
        <p className="mt-1 text-quiet">
          and {counted(rest, "more", "more")}, for which the choice above holds
        </p>
      )}
    </section>
  );
}

/** What is asked, with the row it is about, or the first of them. */
function Question({
  question: { count, item },
}: {
  readonly question: DoubtQuestion;
}): ReactElement {
  const words = item.doubts.map(tableDoubtWords).join(" ");
  if (count === 1) {
    return (
      <span className="min-w-0 flex-1">
        <RowCells item={item} />
        <span className="block break-words">{words}</span>
      </span>
    );
  }
  return (
    <span className="min-w-0 flex-1">
      <span className="block break-words">
        {words} <span className="text-quiet">{counted(count, "row")}, the first of them:</span>
      </span>
      <RowCells item={item} />
    </span>
  );
}
