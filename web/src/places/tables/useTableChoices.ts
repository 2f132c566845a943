import type { CsvDoubt } from "@yonderfell/core";
import { useState } from "react";
import type { TableChoices, TablePlan } from "@yonderfell/core";

/** Doubts that take nothing from the book and can be seen in it afterwards: put up with until a person says otherwise. */
const HARMLESS: readonly CsvDoubt["code"][] = [
  "tag-alike",
  "work-unknown",
  "place-unknown",
  "person-unknown",
  "references-missing",
];

/** What a person says of the rows in doubt, and of those that cannot be read. */
export function useTableChoices(plan: TablePlan): {
  readonly choices: TableChoices;
  readonly setCode: (code: CsvDoubt["code"], isTaken: boolean) => void;
  readonly setAnswer: (key: string, isTaken: boolean) => void;
  readonly setLeavesRefused: (value: boolean) => void;
  readonly setFollowUpsDone: (isDone: boolean) => void;
} {
  const [choices, setChoices] = useState<TableChoices>({
    codes: HARMLESS,
    answers: new Map(),
    leavesRefused: false,
    followUpsDone: null,
  });
  return {
    choices,
    setCode: (code, isTaken) => {
      // What was said of all rows of a reason takes the place of what was said of each.
      const groups = plan.groups.filter((group) => group.code === code);
      const own = new Set(groups.flatMap(({ questions }) => questions.map(({ key }) => key)));
      const others = choices.codes.filter((one) => one !== code);
      setChoices({
        ...choices,
        codes: isTaken ? [...others, code] : others,
        answers: new Map([...choices.answers].filter(([key]) => !own.has(key))),
      });
    },
    setAnswer: (key, isTaken) =>
      setChoices({ ...choices, answers: new Map([...choices.answers, [key, isTaken]]) }),
    setLeavesRefused: (leavesRefused) => setChoices({ ...choices, leavesRefused }),
    setFollowUpsDone: (followUpsDone) => setChoices({ ...choices, followUpsDone }),
  };
}
