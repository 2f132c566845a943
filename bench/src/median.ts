/** A piece of work to be timed. */
export type Work = () => unknown;

function median(times: readonly number[]): number {
  const sorted = [...times].sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/**
 * The median time of each piece of work in milliseconds, after warming up. They are done in turn,
 * round after round, so that whatever else the machine does falls on all of them alike.
 */
export function medianTimes(works: readonly Work[], rounds: number, warmUp = 2): number[] {
  const times: number[][] = works.map(() => []);
  for (let round = 0; round < warmUp + rounds; round += 1) {
    works.forEach((work, index) => {
      // Each pays for its own garbage, not for what the one before left.
      globalThis.gc?.();
      const started = performance.now();
      work();
      if (round >= warmUp) times[index]?.push(performance.now() - started);
    });
  }
  return times.map(median);
}
