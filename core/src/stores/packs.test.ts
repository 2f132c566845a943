import fc from "fast-check";
import { PACKS } from "./packs.js";

interface Pack {
  readonly size: number;
  readonly price: number;
  readonly available: number | null;
}
interface Answer {
  readonly buy: readonly { readonly size: number; readonly count: number }[];
  readonly cost: number;
  readonly left: number;
}

function ask(need: number, packs: readonly Pack[], stock = 0): unknown {
  const asked = PACKS.ask({ need, stock, packs });
  return "answer" in asked ? asked.answer : asked.wrong;
}

/** All sets of packs that could be worth a look, tried one by one. */
function byTrying(need: number, packs: readonly Pack[]): Answer | null {
  const compare = (one: readonly number[], other: readonly number[]): number => {
    const at = one.findIndex((figure, place) => Math.abs(figure - (other[place] ?? 0)) > 1e-9);
    return at === -1 ? 0 : (one[at] ?? 0) - (other[at] ?? 0);
  };
  const sets: { readonly counts: number[]; readonly rank: number[] }[] = [];
  const go = (counts: number[]): void => {
    const pack = packs[counts.length];
    if (pack === undefined) {
      const amount = counts.reduce((sum, count, at) => sum + count * (packs[at]?.size ?? 0), 0);
      const cost = counts.reduce((sum, count, at) => sum + count * (packs[at]?.price ?? 0), 0);
      const containers = counts.reduce((sum, count) => sum + count, 0);
      if (amount < need - 0.001 - 1e-9) return;
      sets.push({ counts, rank: [cost, amount - need, containers, ...counts.map((one) => -one)] });
      return;
    }
    const most = Math.min(pack.available ?? 99, Math.max(0, Math.ceil(need / pack.size)));
    for (let count = 0; count <= most; count += 1) go([...counts, count]);
  };
  go([]);
  const [best] = sets.sort((one, other) => compare(one.rank, other.rank));
  if (best === undefined) return null;
  return {
    buy: packs.flatMap(({ size }, at) => {
      const count = best.counts[at] ?? 0;
      return count === 0 ? [] : [{ size, count }];
    }),
    cost: best.rank[0] ?? 0,
    left: best.rank[1] ?? 0,
  };
}

test("the packs found are those found by trying all", () => {
  const size = fc.constantFrom(0.5, 1, 1.5, 2, 4, 5);
  const price = fc.constantFrom(0, 2, 4, 4.5, 8, 9, 10, 21);
  const available = fc.constantFrom(null, null, 0, 1, 2, 3);
  const packs = fc.array(fc.record({ size, price, available }), { maxLength: 4 });
  const need = fc.constantFrom(0, 0.0005, 0.5, 1, 3.3, 5, 6.001, 7.5);
  fc.assert(
    fc.property(need, packs, (wanted, offered) => {
      const found = ask(wanted, offered);
      const tried = byTrying(wanted, offered);
      if (tried === null) expect(found).toEqual({ refused: "not-to-be-had" });
      else {
        const { buy, cost, left } = found as Answer;
        expect(buy).toEqual(tried.buy);
        expect(cost).toBeCloseTo(tried.cost, 9);
        expect(left).toBeCloseTo(tried.left, 9);
      }
    }),
    { numRuns: 400 },
  );
});

test("a barrel’s worth of packs of one price a litre is found among all there are", () => {
  const packs = [0.5, 1, 4, 5, 20, 60, 205].map((size) => ({ size, price: size, available: null }));
  expect(ask(997.3, packs)).toMatchObject({ cost: 997.5 });
  const quarts = [0.946352946, 1, 3.785411784, 5].map((size) => ({
    ...{ size, price: size * 8, available: null },
  }));
  expect((ask(120, quarts) as Answer).left).toBeLessThan(0.01);
});
