import { parseFigure, type YearAhead } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useSettingsChange } from "../../../session/useSettingsChange.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { TextField } from "../../../ui/fields.js";
import { money } from "../../../words/money.js";
import { decimalSign } from "../../../words/writing.js";

/** What may be spent in a year, beside what was and what is to come; set and changed here. */
export function Budget({
  told: { budget: line, year },
  currency,
}: {
  readonly told: YearAhead;
  readonly currency: string;
}): ReactElement {
  return (
    <section aria-labelledby="budget" className="mt-4">
      <h2 id="budget" className="text-large font-bold">
        The budget of {year}
      </h2>
      {line !== null && (
        <p className="tabular-nums">
          {money(line.budget, currency)}: {money(line.spent, "")} spent, {money(line.toCome, "")} to
          come by the end of the year,{" "}
          <strong className={line.left < 0 ? "text-due" : ""}>
            {line.left < 0 ? `${money(-line.left, "")} too little` : `${money(line.left, "")} left`}
          </strong>
        </p>
      )}
      <SetBudget hasBudget={line !== null} year={year} />
    </section>
  );
}

function SetBudget({
  hasBudget,
  year,
}: {
  readonly hasBudget: boolean;
  readonly year: string;
}): ReactElement {
  const { save, failure, fail } = useSettingsChange();
  const [typed, setTyped] = useState("");
  const write = (): void => {
    const amount = parseFigure(typed, decimalSign());
    if (amount === null) {
      fail("Give an amount of money, from 0 on.");
      return;
    }
    void save({ budgets: { [year]: amount } }, `The budget of ${year} is kept.`).then((saved) => {
      if (saved) setTyped("");
    });
  };
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-3 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <div className="w-36">
        <TextField
          label={hasBudget ? "Another budget" : "What may be spent"}
          value={typed}
          onChange={setTyped}
        />
      </div>
      <button type="submit" className={QUIET_BUTTON} disabled={typed.trim() === ""}>
        Keep it
      </button>
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
    </form>
  );
}
