import type { TableChoices, TablePlan } from "@yonderfell/core";

/** How many records would be written with what a person has said of those in doubt. */
export function takenCount(plan: TablePlan, { codes, answers }: TableChoices): number {
  return plan.groups.reduce((sum, { code, count, questions }) => {
    const isTaken = codes.includes(code);
    const otherwise = questions
      .filter(({ key }) => (answers.get(key) ?? isTaken) !== isTaken)
      .reduce((all, question) => all + question.count, 0);
    return sum + (isTaken ? count - otherwise : otherwise);
  }, plan.sure);
}
