import { roundGround, type RoundGround } from "../../test/roundGround.js";
import type { Round } from "../book/records/round.js";
import { asBefore } from "./asBefore.js";
import { checklist, look, measure, sound, stop, works } from "./library/draft.js";
import { openPlaces } from "./places.js";
import { tellAsBefore } from "./roundCommands.js";

const LIST = checklist("Trial", [], "daily", [
  look("Lamps", "front", "whole", { picks: [sound("whole", "good")] }),
  look("Wipers", "front", "wipe clear"),
  look("Grille", "front", "clean"),
  look("Radiator", "front", "dry", { caution: "Hot" }),
  look("Tow eye", "front", "whole", { severity: "stop" }),
  look("Oil", "front", "clear", { picks: [sound("clear", "good"), stop("milky", "water")] }),
  measure("Belt", "front", "tight", { unit: "mm", least: 3 }),
  works("Horn", "front", "loud"),
  look("Plate", "rear", "whole"),
]);
const [LAMPS, WIPERS, GRILLE] = (LIST.checks ?? []).map(({ id }) => id) as [string, string, string];

/** A round of the month before in which all was sound but what is said. */
function before(fields: Partial<Round> = {}, not: Readonly<Record<string, string>> = {}): Round {
  const results = (LIST.checks ?? []).map(({ id }) => ({ check: id, verdict: not[id] ?? "sound" }));
  return {
    ...{ id: "last", machine: "m", checklist: LIST.id, date: "2026-10-30", seq: 1, finished: true },
    ...{ results, ...fields },
  } as unknown as Round;
}

function ground(...earlier: Round[]): RoundGround {
  const all = roundGround(LIST);
  all.held.rounds.push(...earlier);
  return all;
}

const namesAt = ({ held, round }: RoundGround, station = "front"): string[] =>
  asBefore(held.rounds, round(), LIST, station).map(({ place }) => place.check.name);

test("only looks without a caution that nothing can stop the machine by, of that station, sound the last time", () => {
  expect(namesAt(ground(before()))).toEqual(["Lamps", "Wipers", "Grille"]);
  expect(namesAt(ground(before()), "rear")).toEqual(["Plate"]);
  expect(namesAt(ground(before({}, { [WIPERS]: "watch" })))).toEqual(["Lamps", "Grille"]);
});

test("by the latest finished round of the same list and no later than this one; without one there is none", () => {
  expect(namesAt(ground())).toEqual([]);
  const bad = before({ id: "l2" as never, date: "2026-11-15" }, { [LAMPS]: "attend" });
  expect(namesAt(ground(before(), bad))).toEqual(["Wipers", "Grille"]);
  expect(namesAt(ground(before(), { ...bad, finished: false }))).toHaveLength(3);
  expect(namesAt(ground(before(), { ...bad, date: "2026-12-24" }))).toHaveLength(3);
  expect(namesAt(ground(before(), { ...bad, checklist: "other" as never }))).toHaveLength(3);
  expect(namesAt(ground(before(), { ...bad, void: true }))).toHaveLength(3);
});

test("told at once in the order of the walk, each with the day it was so; what was told already stays", () => {
  const all = ground(before());
  const { held, round, tell, take, context } = all;
  tell({ check: WIPERS, verdict: "attend", picked: "torn" });
  tell({ check: GRILLE, note: "muddy" });
  const told = tellAsBefore(held, round().id, LIST, "front", context);
  if (!told.ok) throw new Error(JSON.stringify(told.issues));
  take(told.value);
  const results = (round().results ?? []).map(({ check, verdict, note }) => [check, verdict, note]);
  const words = "as on 2026-10-30, not looked at more closely";
  expect(results).toEqual([
    [LAMPS, "sound", words],
    [WIPERS, "attend", undefined],
    [GRILLE, "sound", `muddy; ${words}`],
  ]);
  expect(held.findings).toHaveLength(1);
  expect(openPlaces(round(), LIST)).toHaveLength(6);
  expect(tellAsBefore(held, round().id, LIST, "front", context)).toMatchObject({
    issues: [{ code: "no-such-check" }],
  });
});
