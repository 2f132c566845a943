import { changeOf } from "../../../test/changeOf.js";
import type { Closure } from "../records/booking.js";
import { closureSchema } from "../records/booking.js";
import { takeInClosures } from "./takeInClosures.js";

const day = (from: string, reason: string | null = null) => ({ from, to: from, reason });

test("days off are taken in once: those that are there already, and those named twice, are not doubled", () => {
  const held = [
    { id: "c1", from: "2026-12-25", to: "2026-12-25", what: "workshop" },
    { id: "c2", from: "2026-12-28", to: "2026-12-28", what: "person", person: "p" },
  ] as unknown as Closure[];
  let made = 0;
  const days = [day("2026-12-25"), day("2026-12-28", "fair"), day("2026-12-28"), day("2027-01-01")];
  const { command, records } = changeOf(
    takeInClosures({ closures: held }, days, { newId: () => `n${(made += 1)}` }),
  );
  expect(command).toBe("take-in-closures");
  expect(records.map(({ after }) => after)).toEqual([
    { id: "n1", from: "2026-12-28", to: "2026-12-28", what: "workshop", reason: "fair" },
    { id: "n2", from: "2027-01-01", to: "2027-01-01", what: "workshop" },
  ]);
  for (const { after } of records) expect(closureSchema.safeParse(after).success).toBe(true);
});
