import type { IssuePath } from "../file/issue.js";
import type { RecordOf } from "../records/recordSchemas.js";
import { REFERS, type ReferredTo } from "./refers.js";
import { isShared, SECTIONS, type Section, type SharedSection } from "../records/sections.js";

/** An id in a record that is the id of something else. */
export interface FoundReference {
  /** What it is the id of. */
  readonly to: ReferredTo;
  readonly id: string;
  /** Where in the record it stands. */
  readonly path: IssuePath;
}

/** A record of a shared section that another record refers to. */
export interface SharedReference {
  readonly section: SharedSection;
  readonly id: string;
  /** Where in the record it stands. */
  readonly path: IssuePath;
}

type Step = (value: unknown, path: IssuePath, found: FoundReference[]) => void;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null;

/** The way to an id as it is declared, from the step at a place on. */
function stepsFrom(steps: readonly string[], at: number, to: ReferredTo): Step {
  const step = steps[at];
  if (step === undefined) {
    return (id, path, found) => {
      if (typeof id === "string") found.push({ to, id, path });
    };
  }
  const next = stepsFrom(steps, at + 1, to);
  if (step === "#") {
    return (value, path, found) => {
      if (!isObject(value)) return;
      for (const key of Object.keys(value)) next(key, [...path, key], found);
    };
  }
  if (step === "*") {
    return (value, path, found) => {
      if (Array.isArray(value)) {
        for (const [index, item] of value.entries()) next(item, [...path, index], found);
      } else if (isObject(value)) {
        for (const [key, item] of Object.entries(value)) next(item, [...path, key], found);
      }
    };
  }
  return (value, path, found) => {
    const field = isObject(value) ? (value[step] ?? null) : null;
    if (field !== null) next(field, [...path, step], found);
  };
}

function stepsOf(section: Section, isWanted: (to: ReferredTo) => boolean): readonly Step[] {
  const declared: readonly (readonly [string, ReferredTo | null])[] = Object.entries(
    REFERS[section],
  );
  return declared.flatMap(([at, to]) =>
    to !== null && isWanted(to) ? [stepsFrom(at.split("."), 0, to)] : [],
  );
}

const isPicture = (to: ReferredTo): to is "pictures" => to === "pictures";
const isOfTheShared = (to: ReferredTo): to is SharedSection =>
  !isPicture(to) && to !== "meters" && isShared(to);

const stepsOfAll = (isWanted: (to: ReferredTo) => boolean): ReadonlyMap<Section, readonly Step[]> =>
  new Map(SECTIONS.map((section) => [section, stepsOf(section, isWanted)]));
const OWN = stepsOfAll((to) => !isOfTheShared(to) && !isPicture(to));
const SHARED = stepsOfAll(isOfTheShared);
const PICTURES = stepsOfAll(isPicture);

function walk(steps: readonly Step[], record: object): FoundReference[] {
  const found: FoundReference[] = [];
  for (const step of steps) step(record, [], found);
  return found;
}

/** The ids in a record of what belongs to the same machine, its meters among them, as they are declared. */
export function ownReferences<S extends Section>(
  section: S,
  record: RecordOf[S],
): readonly FoundReference[] {
  return walk(OWN.get(section) ?? [], record);
}

/** The shared records that a record refers to, as they are declared: where it lives, which product is in it, which part it is. */
export function sharedReferences<S extends Section>(
  section: S,
  record: RecordOf[S],
): readonly SharedReference[] {
  const found = walk(SHARED.get(section) ?? [], record);
  return found.map(({ to, id, path }) => ({ section: to as SharedSection, id, path }));
}

/** The hashes of the pictures that a record holds, as they are declared. */
export function pictureHashes<S extends Section>(
  section: S,
  record: RecordOf[S],
): readonly string[] {
  return walk(PICTURES.get(section) ?? [], record).map(({ id }) => id);
}
