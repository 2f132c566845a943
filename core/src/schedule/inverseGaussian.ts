/**
 * Chebyshev coefficients for exp(x²)·erfc(x) on x ≥ 0, after the fit in common use
 * for double precision (relative error about 1e-14).
 */
const ERFCX_COEFFICIENTS = [
  -1.3026537197817094, 6.4196979235649e-1, 1.9476473204185836e-2, -9.561514786808631e-3,
  -9.46595344482036e-4, 3.66839497852761e-4, 4.2523324806907e-5, -2.0278578112534e-5,
  -1.624290004647e-6, 1.30365583558e-6, 1.5626441722e-8, -8.5238095915e-8, 6.529054439e-9,
  5.059343495e-9, -9.91364156e-10, -2.27365122e-10, 9.6467911e-11, 2.394038e-12, -6.886027e-12,
  8.94487e-13, 3.13092e-13, -1.12708e-13, 3.81e-16, 7.106e-15,
] as const;

/** The scaled complementary error function exp(x²)·erfc(x), for x ≥ 0. It never overflows. */
export function scaledErfc(x: number): number {
  const t = 2 / (2 + x);
  const argument = 4 * t - 2;
  let current = 0;
  let previous = 0;
  for (let index = ERFCX_COEFFICIENTS.length - 1; index > 0; index -= 1) {
    const next = argument * current - previous + (ERFCX_COEFFICIENTS[index] as number);
    previous = current;
    current = next;
  }
  return t * Math.exp(0.5 * (ERFCX_COEFFICIENTS[0] + argument * current) - previous);
}

/**
 * The inverse Gaussian distribution of mean 1 and shape `shape`, at `x` > 0.
 * e^(2·shape)·Φ(−b) is written as ½·exp(−a²/2)·erfcx(b/√2), since 2·shape − b²/2 = −a²/2: nothing overflows.
 */
function unitMeanCdf(x: number, shape: number): number {
  const root = Math.sqrt(shape / x);
  const a = root * (x - 1);
  const b = root * (x + 1);
  const bell = Math.exp((-a * a) / 2);
  const tail = 0.5 * bell * scaledErfc(Math.abs(a) * Math.SQRT1_2);
  const below = a < 0 ? tail : 1 - tail;
  return below + 0.5 * bell * scaledErfc(b * Math.SQRT1_2);
}

/** The slope of that distribution at `x` > 0. */
function unitMeanDensity(x: number, shape: number): number {
  const root = Math.sqrt(shape / x);
  const a = root * (x - 1);
  return (Math.exp((-a * a) / 2) * root) / (x * Math.sqrt(2 * Math.PI));
}

/**
 * The probability that the first passage comes by `days`; mean in days, `shape` in days (due rules §6).
 * Refused (0): days not above zero.
 */
export function inverseGaussianCdf(days: number, mean: number, shape: number): number {
  return days <= 0 ? 0 : unitMeanCdf(days / mean, shape / mean);
}

const QUANTILE_TOLERANCE_DAYS = 0.00005;
const MOST_STEPS = 80;

/**
 * The number of days by which the first passage has come with probability `probability`, to 0.001 day.
 * `normalQuantile` is the standard normal quantile of the same probability. Halley steps within a
 * bracket, from the root that neglects the second term of the distribution, which is an upper bound.
 */
export function inverseGaussianQuantile(
  probability: number,
  normalQuantile: number,
  mean: number,
  shape: number,
): number {
  const unitShape = shape / mean;
  const half = normalQuantile / (2 * Math.sqrt(unitShape));
  const upper = (half + Math.sqrt(1 + half * half)) ** 2;
  const tolerance = QUANTILE_TOLERANCE_DAYS / mean;
  let low = 0;
  let high = upper;
  let x = upper;
  for (let step = 0; step < MOST_STEPS && high - low > tolerance; step += 1) {
    const excess = unitMeanCdf(x, unitShape) - probability;
    if (excess > 0) high = x;
    else low = x;
    // Halley's step: Newton's, bent by the slope of the density, 1/f · df/dx = −3/(2x) − (shape/2)(1 − 1/x²).
    const newton = excess / unitMeanDensity(x, unitShape);
    const bend = -1.5 / x - (unitShape / 2) * (1 - 1 / (x * x));
    const halley = x - newton / (1 - (newton * bend) / 2);
    if (Math.abs(halley - x) < tolerance) return halley * mean;
    x = halley > low && halley < high ? halley : (low + high) / 2;
  }
  return x * mean;
}
