import type { BoardMachine, UntimedTasks } from "@yonderfell/core";
import { isEmpty } from "../../../form/typed.js";
import { typedNumber } from "../../../words/writing.js";

/** So many machines are named before the rest is counted. */
const NAMED = 6;
/** A hundred hours: more is a slip of the keys. */
export const MOST_MINUTES = 6000;

/** The machines of tasks by their numbers, one alone with its name: `07, 21 and 4 more`. */
export function machinesWords({ tasks }: UntimedTasks, machines: readonly BoardMachine[]): string {
  const ids = new Set<string>(tasks.map(({ machine }) => machine));
  const own = machines.map(({ machine }) => machine).filter(({ id }) => ids.has(id));
  const [only] = own;
  if (own.length === 1 && only !== undefined) return `${only.tag} ${only.name}`;
  const tags = own.map(({ tag }) => tag);
  const rest = tags.length - NAMED;
  return rest > 0 ? `${tags.slice(0, NAMED).join(", ")} and ${rest} more` : tags.join(", ");
}

/** Minutes as they stand in the form, by the keys of their names. */
export interface MinutesModel {
  readonly minutes: Readonly<Record<string, string>>;
}

/** The form as it begins: nothing said of any. */
export const modelOfMinutes = (_: null): MinutesModel => ({ minutes: {} });

/** What is wrong with minutes as they are typed; the field is `minutes.` with the key of the name. */
export interface MinutesProblem {
  readonly field: string;
  readonly code: "not-above-0" | "too-many" | "nothing-said";
}

function wrongWith(text: string): "not-above-0" | "too-many" | null {
  if (isEmpty(text)) return null;
  const minutes = typedNumber(text);
  if (minutes === null || !(minutes > 0)) return "not-above-0";
  return minutes > MOST_MINUTES ? "too-many" : null;
}

/** What is still wrong with them, at the names that are shown. */
export function minutesProblems(
  { minutes }: MinutesModel,
  shown: readonly UntimedTasks[],
): readonly MinutesProblem[] {
  const wrong = shown.flatMap(({ key }): MinutesProblem[] => {
    const code = wrongWith(minutes[key] ?? "");
    return code === null ? [] : [{ field: `minutes.${key}`, code }];
  });
  const isSaid = shown.some(({ key }) => !isEmpty(minutes[key] ?? ""));
  return isSaid ? wrong : [{ field: "", code: "nothing-said" }];
}

/** Minutes as typed; null where nothing usable is. */
export function minutesTyped(text: string): number | null {
  return isEmpty(text) || wrongWith(text) !== null ? null : typedNumber(text);
}
