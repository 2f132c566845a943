import { VAN } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { Finding } from "../book/records/finding.js";
import type { Slice } from "../book/slice/slice.js";
import { dayOf } from "../calendar/dayNumber.js";
import { keepFinding } from "./keepFinding.js";
import { currentStop } from "./outOfService.js";

const context = (): CommandContext => {
  let count = 0;
  return { today: dayOf("2026-11-23"), newId: () => `new-${(count += 1)}`, nextSeq: () => 1 };
};

const WEEP = {
  id: "weep",
  machine: "van",
  found: "2026-11-20",
  what: "weep at the axle seal",
  where: "rear",
  decision: "watch",
  by: "pe-x",
} as unknown as Finding;

const slice = (findings: readonly Finding[] = [], machine: object = VAN): Slice<"findings"> =>
  ({ machines: [machine], findings }) as unknown as Slice<"findings">;

function kept(before: Finding | null, after: Finding, machine: object = VAN): Slice<"findings"> {
  const own = slice(before === null ? [] : [before], machine);
  const result = keepFinding(own, before, after, context());
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return applyChange(own as never, result.value);
}

test("what was found is kept, and stops nothing unless it must", () => {
  const after = kept(null, WEEP);
  expect(after.findings).toEqual([WEEP]);
  expect(currentStop(after.machines[0])).toBeNull();
});

test("a decision that is changed keeps the earlier ones, each with its day and its reason", () => {
  const declined = { ...WEEP, decision: "declined", reason: "sold in spring" } as Finding;
  const [first] = kept(WEEP, declined).findings;
  expect(first).toMatchObject({
    decision: "declined",
    decided: "2026-11-23",
    decisions: [{ on: "2026-11-20", decision: "watch" }],
  });
  const [second] = kept(first as Finding, {
    ...(first as Finding),
    decision: "now",
    reason: null,
  }).findings;
  expect(second?.decisions).toEqual([
    { on: "2026-11-20", decision: "watch" },
    { on: "2026-11-23", decision: "declined", reason: "sold in spring" },
  ]);
});

test("who decided goes with the decision among the earlier ones", () => {
  const decided = { ...WEEP, decidedBy: "pe-rigg" } as Finding;
  const again = { ...decided, decision: "now", decidedBy: "the owner" } as Finding;
  const [first] = kept(decided, again).findings;
  expect(first).toMatchObject({
    decidedBy: "the owner",
    decisions: [{ on: "2026-11-20", decision: "watch", by: "pe-rigg" }],
  });
});

test("other words keep the decision as it was made", () => {
  const [after] = kept(WEEP, { ...WEEP, todo: "renew the seal" }).findings;
  expect(after?.decisions).toBeUndefined();
  expect(after?.decided).toBeUndefined();
});

test("a verdict of stop takes the machine out of service once, by whom it was found", () => {
  const stopping = { ...WEEP, verdict: "stop" } as Finding;
  const after = kept(null, stopping);
  expect(currentStop(after.machines[0])).toMatchObject({
    since: "2026-11-20",
    reason: "weep at the axle seal, rear",
    by: "pe-x",
  });
  const again = kept(stopping, { ...stopping, todo: "renew" });
  expect(currentStop(again.machines[0])).toBeNull();
  const standing = { ...VAN, stops: [{ id: "s", since: "2026-01-01", reason: "brakes" }] };
  expect(kept(null, stopping, standing).machines[0].stops).toHaveLength(1);
});

test("a finding declined without a reason, and one changed elsewhere, are refused", () => {
  const declined = { ...WEEP, decision: "declined" } as Finding;
  expect(keepFinding(slice(), null, declined, context()).ok).toBe(false);
  const moved = slice([{ ...WEEP, todo: "elsewhere" }]);
  const result = keepFinding(moved, WEEP, { ...WEEP, todo: "here" }, context());
  expect(result.ok ? "" : result.issues[0]).toMatchObject({ code: "changed-elsewhere" });
});
