import type { Check, Checklist } from "../../book/records/checklist.js";
import type { ChecklistId } from "../../book/records/ids.js";
import type { Known } from "../../book/records/known.js";

type Pick = NonNullable<Check["picks"]>[number];
type More = Partial<Omit<Known<Check>, "id" | "name" | "how" | "where">>;

/** A check before it has its id. */
export type CheckDraft = Omit<Known<Check>, "id">;

type Draft = (name: string, where: string, good: string, more?: More) => CheckDraft;

const draft =
  (how: Check["how"]): Draft =>
  (name, where, good, more = {}) => ({ how, name, where, good, ...more });

export const look = draft("look");
export const feel = draft("feel");
export const listen = draft("listen");
export const smell = draft("smell");
export const works = draft("function");
export const count = draft("count");
export const measure = draft("measure");

const said =
  (verdict: NonNullable<Pick["verdict"]>) =>
  (word: string, means: string, todo = ""): Pick => ({
    ...{ word, means, verdict },
    ...(todo === "" ? {} : { todo }),
  });

/** Words to pick, by what each usually comes to. */
export const sound = said("sound");
export const watch = said("watch");
export const attend = said("attend");
export const stop = said("stop");

/** Under which id a checklist of the library comes into a book: the same in every copy. */
const idOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");

/** A checklist of the library; its checks are told apart by their names. */
export function checklist(
  name: string,
  kinds: readonly string[],
  when: string,
  checks: readonly CheckDraft[],
): Checklist {
  return {
    id: `cl-${idOf(name)}` as ChecklistId,
    ...{ name, kinds: [...kinds], when },
    checks: checks.map((check) => ({ id: idOf(`${check.name} ${check.where ?? ""}`), ...check })),
  };
}

/** The four wheels of a car or lorry, as they are called. */
export const WHEELS = ["front left", "front right", "rear left", "rear right"];
export const SIDES = ["left", "right"];

export const ROAD = ["car", "van", "electric van"];
export const HEAVY = ["bus", "heavy lorry"];
export const WITH_DRIVE = [...ROAD, ...HEAVY];
export const ON_SKIDS = ["generator", "pump", "stationary engine"];
