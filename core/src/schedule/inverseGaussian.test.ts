import fc from "fast-check";
import { inverseGaussianCdf, inverseGaussianQuantile, scaledErfc } from "./inverseGaussian.js";

/** The distribution by summing its density, as a check from outside the formula. */
function summed(days: number, mean: number, shape: number): number {
  const steps = 40000;
  const width = days / steps;
  let sum = 0;
  for (let step = 0; step < steps; step += 1) {
    const t = (step + 0.5) * width;
    sum +=
      Math.sqrt(shape / (2 * Math.PI * t ** 3)) *
      Math.exp((-shape * (t - mean) ** 2) / (2 * mean ** 2 * t));
  }
  return sum * width;
}

test.each([
  [0, 1],
  [0.5, 0.6156903441929258],
  [1, 0.427583576155807],
  [5, 0.1107046377330686],
  [30, 0.0187958888614168],
])("exp(x²)·erfc(x) at %d is %d", (x, expected) => {
  expect(scaledErfc(x)).toBeCloseTo(expected, 11);
});

test.each([
  [10, 12, 40],
  [30, 20, 11],
  [3, 20, 9],
  [100, 90, 4000],
])(
  "the distribution at %d days, mean %d, shape %d, agrees with its density summed",
  (days, mean, shape) => {
    expect(inverseGaussianCdf(days, mean, shape)).toBeCloseTo(summed(days, mean, shape), 5);
  },
);

test("a quantile put back into the distribution gives its probability, for every spread from wild to nearly none", () => {
  const mean = fc.double({ min: 0.05, max: 7300, noNaN: true });
  const spread = fc.double({ min: -3, max: 5, noNaN: true }).map((power) => 10 ** power);
  fc.assert(
    fc.property(mean, spread, (m, ratio) => {
      for (const [p, z] of [
        [0.1, -1.2815515655446004],
        [0.5, 0],
        [0.9, 1.2815515655446004],
      ] as const) {
        const days = inverseGaussianQuantile(p, z, m, m * ratio);
        const below = inverseGaussianCdf(days - 0.001, m, m * ratio);
        const above = inverseGaussianCdf(days + 0.001, m, m * ratio);
        if (below > p + 1e-9 || above < p - 1e-9) return false;
      }
      return true;
    }),
    { numRuns: 500 },
  );
});
