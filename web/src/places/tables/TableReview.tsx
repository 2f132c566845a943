import { describeCsvIssue } from "@yonderfell/core";
import type { ReactElement } from "react";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { CheckField } from "../../ui/fields.js";
import { counted } from "../../words/format.js";
import { bringInWords, planWords, tableFollowUpsWords } from "../../words/tableWords.js";
import type { TablePlan } from "@yonderfell/core";
import { FollowUpsAsked } from "../shared/logging/FollowUps.js";
import { DoubtGroups } from "./DoubtGroups.js";
import { Progress } from "../../ui/Progress.js";
import { ShownItems } from "./ShownItems.js";
import { useTablePlan, type OpenTable } from "./useTable.js";
import { useTableChoices } from "./useTableChoices.js";
import { asideCount, takenCount } from "./takenCount.js";
import { useKeepTable } from "./useKeepTable.js";

/** What bringing a table in would do, the choices it asks for, and the press that does it. */
export function TableReview({
  table,
  onDone,
}: {
  readonly table: OpenTable;
  readonly onDone: (words: string) => void;
}): ReactElement {
  const { plan, stop, again } = useTablePlan(table);
  return (
    <section aria-labelledby="would-do" className="min-w-0">
      <h2 id="would-do" className="text-large font-bold">
        What it would do
      </h2>
      {plan.code === "planning" && (
        <Progress label="Going through the rows" share={plan.share} onStop={stop} />
      )}
      {plan.code === "stopped" && (
        <p className="mt-2 flex flex-wrap items-center gap-4">
          It was stopped; nothing is changed.
          <button type="button" className={QUIET_BUTTON} onClick={again}>
            Go through it again
          </button>
        </p>
      )}
      {plan.code === "failed" && (
        <p role="alert" className="mt-2 text-overdue">
          It could not be gone through: {plan.reason}.
        </p>
      )}
      {plan.code === "planned" && (
        <Planned table={table} plan={plan.plan} onDone={onDone} onAgain={again} />
      )}
    </section>
  );
}

function Planned({
  table,
  plan,
  onDone,
  onAgain,
}: {
  readonly table: OpenTable;
  readonly plan: TablePlan;
  readonly onDone: (words: string) => void;
  readonly onAgain: () => void;
}): ReactElement {
  const { choices, setCode, setAnswer, setLeavesRefused, setFollowUpsDone } = useTableChoices(plan);
  const { state, keep, stop } = useKeepTable(table, choices, onDone);
  const count = takenCount(plan, choices);
  const aside = asideCount(plan, choices);
  const isStopped = plan.isRefused || (plan.counts.refused > 0 && !choices.leavesRefused);
  const isNotSaid = plan.followUps !== null && choices.followUpsDone === null;
  if (state.code === "keeping") {
    return <Progress label="Writing" share={state.share} onStop={stop} />;
  }
  return (
    <div className="mt-1 space-y-5">
      <p>{planWords(plan)}</p>
      <Unreadable plan={plan} value={choices.leavesRefused} onChange={setLeavesRefused} />
      <DoubtGroups plan={plan} choices={choices} onCode={setCode} onAnswer={setAnswer} />
      {plan.followUps !== null && (
        <FollowUpsAsked
          {...tableFollowUpsWords(plan.followUps)}
          answer={choices.followUpsDone === null ? "" : choices.followUpsDone ? "done" : "owed"}
          onAnswer={(answer) => setFollowUpsDone(answer === "done")}
        />
      )}
      <ShownItems title="Changed" items={plan.changed} />
      {!plan.isRefused && <ShownItems title="New" items={plan.fresh} most={8} />}
      {state.code === "refused" && <NotBroughtIn words={state.words} onAgain={onAgain} />}
      <div className="sticky bottom-0 flex flex-wrap items-center gap-4 border-t border-rule bg-ground py-3">
        <button
          type="button"
          className={PRIMARY_BUTTON}
          disabled={isStopped || count + aside === 0 || isNotSaid}
          onClick={() => void keep()}
        >
          {bringInWords(count, aside, plan.kind)}
        </button>
        {!isStopped && isNotSaid && (
          <span className="text-quiet">say above whether the follow-ups were done</span>
        )}
        {isStopped && !plan.isRefused && (
          <span className="text-quiet">
            {counted(plan.counts.refused, "row")} must be put right in the file, or left out
          </span>
        )}
      </div>
    </div>
  );
}

/** Why nothing was brought in, and the way to look again. */
function NotBroughtIn({
  words,
  onAgain,
}: {
  readonly words: string;
  readonly onAgain: () => void;
}): ReactElement {
  return (
    <p role="alert" className="flex flex-wrap items-center gap-4 text-overdue">
      Nothing was brought in. {words}
      <button type="button" className={QUIET_BUTTON} onClick={onAgain}>
        Go through it again
      </button>
    </p>
  );
}

/** What cannot be read: row, column, what was expected. */
function Unreadable({
  plan,
  value,
  onChange,
}: {
  readonly plan: TablePlan;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}): ReactElement | null {
  const { issues, issueCount, isRefused } = plan;
  if (issueCount === 0) return null;
  const rest = issueCount - issues.length;
  return (
    <section aria-labelledby="unreadable" className="border-l-4 border-overdue bg-raised px-4 py-3">
      <h3 id="unreadable" className="font-bold">
        Cannot be read
      </h3>
      <ul data-issues="" className="mt-1 list-disc pl-5">
        {issues.map((issue, index) => (
          <li key={index} className="break-words">
            {describeCsvIssue(issue)}
          </li>
        ))}
      </ul>
      {rest > 0 && <p className="mt-1 text-quiet">and {counted(rest, "more", "more")}</p>}
      {!isRefused && (
        <CheckField
          label="Leave out what cannot be read, and bring in the rest"
          value={value}
          onChange={onChange}
        />
      )}
    </section>
  );
}
