import type { Machine } from "../book/records/machine.js";
import type { Round } from "../book/records/round.js";
import { checklist, look } from "./library/draft.js";
import { listRounds } from "./listRounds.js";

const LIST = checklist("Trial", [], "daily", [look("Belt", "", ""), look("Hose", "", "")]);
const BELT = LIST.checks?.[0]?.id ?? "";
const VAN = { id: "van", tag: "07", name: "Van", kind: "van" } as unknown as Machine;
const round = (id: string, date: string, more: object = {}): Round =>
  ({ id, date, machine: "van", checklist: LIST.id, ...more }) as unknown as Round;
const finished = { finished: true };
const book = (...rounds: Round[]) => ({ rounds, checklists: [LIST], machines: [VAN] });

test("what is under way and the latest that are finished, the latest first, with how far and what was found", () => {
  const results = [{ check: BELT, verdict: "watch" }];
  const { underWay, lately } = listRounds(
    book(
      round("a", "2026-11-01", finished),
      round("b", "2026-11-03", finished),
      round("c", "2026-11-02", { ...finished, results }),
      round("d", "2026-11-04", { results, by: "Edda" }),
    ),
    2,
  );
  expect(lately.map((one) => one.round.id)).toEqual(["b", "c"]);
  expect(underWay).toEqual([
    {
      round: {
        id: "d",
        machine: "van",
        checklist: LIST.id,
        date: "2026-11-04",
        by: "Edda",
        finished: undefined,
      },
      ...{ name: "Trial", machine: { id: "van", tag: "07", name: "Van" } },
      ...{ done: 1, of: 2, found: 1 },
    },
  ]);
});

test("what was corrected or struck out stands for nothing, and nor does a round of a list that is gone", () => {
  const { underWay, lately } = listRounds(
    book(
      round("a", "2026-11-01", finished),
      round("b", "2026-11-01", { ...finished, replaces: "a" }),
      round("c", "2026-11-01", { ...finished, void: true }),
      round("d", "2026-11-01", { checklist: "gone" }),
      round("e", "2026-11-01", { machine: "sold" }),
    ),
    9,
  );
  expect([underWay, lately.map((one) => one.round.id)]).toEqual([[], ["b"]]);
});
