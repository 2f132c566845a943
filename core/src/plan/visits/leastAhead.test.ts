import fc from "fast-check";
import { bruteForce, day, someDays, someTurns, turn, WEIGHTS } from "../../../test/turns.js";
import { chainsOf } from "./chainsOf.js";
import { leastAhead } from "./leastAhead.js";
import { BEFORE } from "./turnChain.js";

/** The bounds of what some turns cost: that from below, and what some plan is known to cost. */
function boundsOf(
  ...[turns, days]: [Parameters<typeof bruteForce>[0], Parameters<typeof bruteForce>[1]]
) {
  const chains = chainsOf(turns, days, WEIGHTS);
  if (chains === null) return null;
  const { least, known } = leastAhead(chains, days);
  const below =
    chains.constant +
    least(
      BEFORE,
      chains.all.map(() => BEFORE),
    );
  return { below, known };
}

test("what the turns cost lies between the bounds", () => {
  fc.assert(
    fc.property(someTurns, someDays, (turns, days) => {
      const best = bruteForce(turns, days);
      const bounds = boundsOf(turns, days);
      if (bounds === null) expect(best).toBe(Infinity);
      else {
        expect(bounds.below).toBeLessThanOrEqual(best + 1e-9);
        expect(bounds.known).toBeGreaterThanOrEqual(best - 1e-9);
      }
    }),
    { numRuns: 400, seed: 7 },
  );
});

test("where all wait for the same visits the bounds meet", () => {
  const turns = [turn("wash", 100, { value: 10 }), turn("oil", 107), turn("belt", 150)];
  const days = Array.from({ length: 80 }, (_, index) => day(90 + index));
  const bounds = boundsOf(turns, days);
  expect(bounds?.below).toBeCloseTo(bounds?.known ?? 0, 9);
});

test("two accesses that want the same day share its visit: the bound counts it once, in full", () => {
  const turns = [
    turn("belt", 100, { access: "belt" }),
    turn("pulley", 100, { access: "belt" }),
    turn("pan", 100, { access: "pan" }),
    turn("seal", 100, { access: "pan" }),
  ];
  const bounds = boundsOf(turns, [day(99), day(100), day(101)]);
  expect(bounds?.below).toBeCloseTo(40 + 2 * WEIGHTS.accessCost, 2);
});
