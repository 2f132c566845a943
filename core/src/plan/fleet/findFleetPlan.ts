import type { Highs } from "highs";
import type { DayNumber } from "../../calendar/dayNumber.js";
import type { FleetAnswer } from "./fleetAnswer.js";
import type { FleetProblem } from "./fleetProblem.js";
import { fleetTold, type FleetTold } from "./fleetTold.js";
import { prepareFleet, type FleetBook } from "./prepareFleet.js";
import { roughWeeks, shareWeeks, type Shared } from "./shareWeeks.js";
import { solveFleet, type FleetFound } from "./solveFleet.js";

/** What is heard of a fleet plan while it is looked for. */
export type FleetNews =
  /** So many of all steps of the preparation are done. */
  | { readonly code: "preparing"; readonly done: number; readonly of: number }
  /** A plan, better than any before; the last is told once more with what would free weeks that are too full. */
  | { readonly code: "found"; readonly told: FleetTold }
  /** The same plan, and what sharing the weeks costs at least is known better. */
  | { readonly code: "bound"; readonly bound: number }
  /** The solver could not be had; what was found without it stands. */
  | { readonly code: "no-solver"; readonly reason: string };

/** It is the best for all that matters where it is so near to the bound, a share of what sharing costs. */
const CLOSE = 0.002;
/** The solver is given so many seconds. */
const SOLVER_SECONDS = 120;
/** News of the preparation comes every so many steps at the most. */
const NEWS = 50;
/** A better bound is told of where it is so much better, as a share of what sharing costs. */
const STEP = 0.0005;
/** Plans that differ by less, in the book's money, are told of as one. */
const SAME = 0.01;

/**
 * Looks for the best weeks of a fleet, telling of each better plan: first what the machines by themselves come to, then the
 * first answer by prices, then what the solver finds. Whoever ends the worker it runs in has the last that was told.
 */
export async function findFleetPlan(
  book: FleetBook,
  today: DayNumber,
  solver: () => Promise<Highs>,
  tell: (news: FleetNews) => void,
): Promise<void> {
  const { problem, known } = prepared(book, today, tell);
  const shared = sharedOut(problem, known, tell);
  const found = ({ answer, bound }: FleetFound, savings: boolean): void =>
    tell({
      code: "found",
      told: fleetTold(problem, answer, { bound, worth: shared.worth }, savings),
    });
  let best: FleetFound = shared;
  if (isOpen(best)) {
    // Before the long search: it may be stopped.
    found(best, true);
    best = await solved(problem, best, solver, (news) =>
      "answer" in news ? found(news, false) : tell(news),
    );
  }
  found(best, true);
}

const isOpen = ({ sharing, bound }: FleetFound): boolean =>
  sharing - bound > Math.max(SAME, CLOSE * sharing);

function prepared(
  book: FleetBook,
  today: DayNumber,
  tell: (news: FleetNews) => void,
): { readonly problem: FleetProblem; readonly known: FleetAnswer | null } {
  const steps = prepareFleet(book, today);
  let known: FleetAnswer | null = null;
  for (;;) {
    const step = steps.next();
    if (step.done === true) return { problem: step.value, known };
    const { done, of, first } = step.value;
    if (first !== null) {
      known = roughWeeks(first);
      // What more ways could save is not known yet: nothing can be said of how good it is.
      tell({ code: "found", told: fleetTold(first, known, { bound: 0, worth: null }, false) });
    }
    if (done === 1 || done === of || done % NEWS === 0) tell({ code: "preparing", done, of });
  }
}

function sharedOut(
  problem: FleetProblem,
  known: FleetAnswer | null,
  tell: (news: FleetNews) => void,
): Shared {
  let best: Shared | null = null;
  for (const found of shareWeeks(problem, known)) {
    if (best === null || found.sharing < best.sharing - SAME) {
      tell({ code: "found", told: fleetTold(problem, found.answer, found, false) });
    } else if (found.bound > best.bound + SAME) tell({ code: "bound", bound: found.bound });
    best = found;
  }
  return best ?? { answer: [], sharing: 0, bound: 0, worth: [] };
}

async function solved(
  problem: FleetProblem,
  known: FleetFound,
  solver: () => Promise<Highs>,
  tell: (news: FleetFound | Exclude<FleetNews, { readonly code: "found" }>) => void,
): Promise<FleetFound> {
  let highs: Highs;
  try {
    highs = await solver();
  } catch (error) {
    tell({ code: "no-solver", reason: error instanceof Error ? error.message : String(error) });
    return known;
  }
  let last = known;
  /** The bound as it was told: not each of its thousand small steps. */
  let told = known.bound;
  return solveFleet(highs, problem, {
    ...{ known, gap: CLOSE, seconds: SOLVER_SECONDS },
    onFound: (found) => {
      const isBetter = found.sharing < last.sharing - SAME;
      last = found;
      if (!isBetter && found.bound - told < STEP * found.sharing) return;
      told = found.bound;
      tell(isBetter ? found : { code: "bound", bound: found.bound });
    },
  });
}
