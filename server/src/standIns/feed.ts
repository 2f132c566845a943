import { json, Router } from "express";
import Papa from "papaparse";

/** A box on a machine's meter, as it is told: what the dial showed on some days, and what it runs a day. */
interface Box {
  readonly machine: string;
  readonly meter: string;
  readonly unit: "km" | "mi" | "h";
  readonly dial: readonly { readonly on: string; readonly value: number }[];
  readonly perDay: number;
}

/** A daily figure, as a line of the feed. */
interface FeedLine {
  readonly machine: string;
  readonly meter: string;
  readonly date: string;
  readonly value: number;
  readonly unit: string;
  readonly source: "feed";
}

const MOST_BOXES = 200;
const MOST_DAYS = 60;
const DAY_MS = 86_400_000;
/** Kinds of fault, by the place of a box among those asked for. */
const FAULTS_OF = 3;
/** The days of a box, from its second on, at which its fault shows. */
const GAP = [3, 4];
const TWICE = 6;
const JUMP_AT = 5;
const OTHER_UNIT_AT = 4;
const JUMP = { km: 9000, mi: 6000, h: 400 } as const;
const OTHER_UNIT = { km: "mi", mi: "km", h: "km" } as const;
/** A box is a little ahead of the dial that is read. */
const AHEAD = { km: 2, mi: 1, h: 0.2 } as const;
const NAME = "Dale boxes (simulated)";

const dayOf = (date: string): number => Date.parse(`${date}T00:00:00Z`) / DAY_MS;
const dateOf = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);
const isDay = (text: unknown): text is string =>
  typeof text === "string" && /^\d{4}-\d{2}-\d{2}$/.test(text) && Number.isFinite(dayOf(text));
const isFigure = (value: unknown): value is number =>
  typeof value === "number" && Number.isFinite(value) && value >= 0;
const isWord = (text: unknown): text is string =>
  typeof text === "string" && text.trim() !== "" && text.length <= 80;

/** A box that was asked for, read with care; null where it is none. */
function boxIn(told: unknown): Box | null {
  const { machine, meter, unit, dial, perDay } = (told ?? {}) as Partial<
    Record<keyof Box, unknown>
  >;
  if (!isWord(machine) || !isWord(meter) || !isFigure(perDay) || !Array.isArray(dial)) return null;
  if (unit !== "km" && unit !== "mi" && unit !== "h") return null;
  const points = dial.flatMap((point: unknown) => {
    const { on, value } = (point ?? {}) as { readonly on?: unknown; readonly value?: unknown };
    return isDay(on) && isFigure(value) ? [{ on, value }] : [];
  });
  if (points.length === 0 || points.length !== dial.length) return null;
  return {
    machine,
    meter,
    unit,
    perDay,
    dial: points.toSorted((one, other) => dayOf(one.on) - dayOf(other.on)),
  };
}

/** What the dial would show on a day: between what was read, and on by what it runs a day; never past what was read next. */
function dialAt({ dial, perDay }: Box, day: number): number {
  const at = dial.findLastIndex(({ on }) => dayOf(on) <= day);
  const before = dial[Math.max(0, at)] ?? { on: dateOf(day), value: 0 };
  const after = dial[at + 1];
  const gone = day - dayOf(before.on);
  // A machine does not run alike each day: by the day itself, so that it is the same when asked again.
  const ran = perDay * (gone - (day % 2 === 0 ? 0.3 : 0));
  if (after === undefined) return before.value + Math.max(0, ran);
  const share = gone / (dayOf(after.on) - dayOf(before.on));
  return before.value + (after.value - before.value) * share;
}

function linesOf(box: Box, place: number, until: number): FeedLine[] {
  const [first] = box.dial;
  const { machine, meter, unit } = box;
  const scale = unit === "h" ? 10 : 1;
  const read = new Set(box.dial.slice(1).map(({ on }) => on));
  const from = Math.max(dayOf(first?.on ?? dateOf(until)), until - MOST_DAYS);
  const lines: FeedLine[] = [];
  for (let day = from + 1; day <= until; day += 1) {
    const nth = day - from;
    const fault = place % FAULTS_OF;
    if (fault === 0 && GAP.includes(nth)) continue;
    const date = dateOf(day);
    const shown = dialAt(box, day) + (read.has(date) ? AHEAD[unit] : 0);
    const jumped = fault === 1 && nth === JUMP_AT ? JUMP[unit] : 0;
    const value = Math.round((shown + jumped) * scale) / scale;
    const told = fault === 2 && nth === OTHER_UNIT_AT ? OTHER_UNIT[unit] : unit;
    const line = { machine, meter, date, value, unit: told, source: "feed" as const };
    lines.push(line);
    if (fault === 0 && nth === TWICE) lines.push(line);
  }
  return lines;
}

const COLUMNS = ["machine", "meter", "date", "value", "unit", "source"] as const;

const asCsv = (lines: readonly FeedLine[]): string =>
  `${Papa.unparse([...lines], { columns: [...COLUMNS], newline: "\n" })}\n`;

const asJsonLines = (lines: readonly FeedLine[]): string =>
  lines.map((line) => `${JSON.stringify(line)}\n`).join("");

/**
 * The simulated meter feed (docs/formats/stand-ins.md): no box is on anything, so a request says on which meters there would be one, and what their
 * dials showed. It answers a figure a day, with faults as real ones have them; the same request is answered alike.
 */
export function simulatedFeed(): Router {
  const router = Router();
  router.get("/stand-ins/feed", (_request, response) => {
    response.set("Cache-Control", "no-store").json({ feed: NAME, simulated: true });
  });
  router.post("/stand-ins/feed", json({ limit: "200kb" }), (request, response) => {
    const { boxes, until, as } = (request.body ?? {}) as Partial<Record<string, unknown>>;
    const read = Array.isArray(boxes) ? boxes.slice(0, MOST_BOXES).map(boxIn) : [null];
    if (!isDay(until) || read.includes(null)) {
      response.status(400).json({ code: "boxes-missing" });
      return;
    }
    const lines = read.flatMap((box, place) =>
      box === null ? [] : linesOf(box, place, dayOf(until)),
    );
    response.set("Cache-Control", "no-store");
    if (as === "csv") response.type("text/csv").send(asCsv(lines));
    else response.type("application/x-ndjson").send(asJsonLines(lines));
  });
  return router;
}
