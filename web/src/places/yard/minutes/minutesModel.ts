import type { BoardMachine, UntimedTasks } from "@yonderfell/core";
import { typedNumber } from "../../../words/writing.js";

/** So many machines are named before the rest is counted. */
const NAMED = 6;
/** A hundred hours: more is a slip of the keys. */
const MOST = 6000;

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

/** What is wrong with minutes as they are typed, empty where nothing is. */
export function minutesProblem(text: string): string {
  if (text.trim() === "") return "";
  const minutes = typedNumber(text);
  if (minutes === null || !(minutes > 0)) return "minutes, a number above 0";
  return minutes > MOST ? `at most ${MOST} minutes` : "";
}

/** Minutes as typed; null where nothing usable is. */
export function minutesTyped(text: string): number | null {
  return text.trim() === "" || minutesProblem(text) !== "" ? null : typedNumber(text);
}
