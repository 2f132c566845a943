import { FILTER_WAYS } from "./filters.js";
import { FLUID_WAYS } from "./fluids.js";
import { OIL_WAYS } from "./oils.js";
import { PART_WAYS } from "./parts.js";
import { COMMON, way, type Way } from "./way.js";

/**
 * The ways to work that there are, written for any machine; the first that fits a task is taken, for fluids the first for
 * their kind that suits. A machine's own way and the methods of the book come before them.
 */
export const METHODS: readonly Way[] = [
  ...FILTER_WAYS.slice(0, 1),
  ...OIL_WAYS,
  ...FLUID_WAYS,
  ...PART_WAYS,
  ...FILTER_WAYS.slice(1),
];

/** Work of which no more is known than what it is called. */
export function plainWay(name: string): Way {
  const isLook = /examin|inspect|test|check|looked|measured|certificate|calibrat|tried/i.test(name);
  return way({ name, uses: [], steps: [{ kind: isLook ? "look" : "do", name }, COMMON.parts] });
}
