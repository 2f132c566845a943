import type { TableChoices, TablePlan } from "@yonderfell/core";

type Counted = "count" | "aside";

/** How many items in doubt are taken, or are not, by what a person has said. */
function inDoubt(
  { groups }: TablePlan,
  { codes, answers }: TableChoices,
  what: Counted,
  wanted: boolean,
): number {
  return groups.reduce((sum, group) => {
    const isTaken = codes.includes(group.code);
    const otherwise = group.questions
      .filter(({ key }) => (answers.get(key) ?? isTaken) !== isTaken)
      .reduce((all, question) => all + question[what], 0);
    return sum + (isTaken === wanted ? group[what] - otherwise : otherwise);
  }, 0);
}

/** How many records would be written with what a person has said of those in doubt. */
export const takenCount = (plan: TablePlan, choices: TableChoices): number =>
  plan.sure + inDoubt(plan, choices, "count", true);

/** How many figures of a feed would be set aside for good. */
export const asideCount = (plan: TablePlan, choices: TableChoices): number =>
  inDoubt(plan, choices, "aside", false);
