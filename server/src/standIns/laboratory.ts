import { json, Router } from "express";
import { simulatedFigures, type LabFigure } from "./simulatedFigures.js";

/** How a laboratory deals with a sample: as it said, later than it said, with another unit, not at all, or twice. */
export type LabMood = "plain" | "late" | "other-unit" | "lost" | "twice";

/** How the simulated laboratory is set up. */
export interface LaboratoryOptions {
  /** The clock it goes by, milliseconds. */
  readonly clock: () => number;
  /** So long it takes, milliseconds. */
  readonly takes: number;
  /** So long after its first answer was collected it answers again, where it does so, milliseconds. */
  readonly again: number;
  /** How it deals with a sample, by its label. */
  readonly moodOf: (label: string) => LabMood;
}

/** Every so many labels are dealt with in each of these ways; all others as they should be. */
const MOODS: readonly LabMood[] = ["late", "other-unit", "twice", "lost"];
const MOODS_OF = 10;

/** A number that follows from a label alone. */
function hashOf(label: string): number {
  let hash = 7;
  for (const sign of label) hash = (hash * 31 + (sign.codePointAt(0) ?? 0)) % 1_000_003;
  return hash;
}

export const LABORATORY: LaboratoryOptions = {
  clock: Date.now,
  takes: 20_000,
  again: 30_000,
  moodOf: (label) => MOODS[hashOf(label) % MOODS_OF] ?? "plain",
};

/** A late answer comes so many times as late as was said. */
const LATE_TIMES = 3;
/** It keeps so many samples; the oldest are forgotten. */
const MOST_KEPT = 1000;
const LONGEST_LABEL = 80;
const NAME = "Corrie Factors, oil bench (simulated)";

interface Sent {
  readonly label: string;
  readonly oilLife: number;
  readonly at: number;
  /** When its first answer was collected. */
  collectedAt: number | null;
}

interface LabAnswer {
  readonly number: number;
  readonly on: string;
  readonly figures: readonly LabFigure[];
  readonly limits: object;
  readonly lowest: object;
  readonly remarks: string;
}

const LIMITS = {
  ...{ iron: { watch: 80, stop: 140 }, copper: { watch: 30, stop: 60 } },
  ...{ lead: { watch: 25, stop: 50 }, silicon: { watch: 20, stop: 40 } },
  ...{ water: { watch: 0.2, stop: 0.5 }, fuel: { watch: 2, stop: 5 } },
};
const LOWEST = { "base number": { watch: 4, stop: 2 } };

function remarksOn(figures: readonly LabFigure[]): string {
  const limits: Readonly<Record<string, { readonly watch: number }>> = LIMITS;
  const over = figures.filter(({ name, value }) => value >= (limits[name]?.watch ?? Infinity));
  if (over.length === 0) return "Nothing stands out for an oil of this age.";
  return `Above our limit: ${over.map(({ name }) => name).join(", ")}. Look for the cause, and sample again.`;
}

function answersTo(
  { label, oilLife, at, collectedAt }: Sent,
  mood: LabMood,
  { clock, takes, again }: LaboratoryOptions,
): LabAnswer[] {
  if (mood === "lost") return [];
  const ready = at + takes * (mood === "late" ? LATE_TIMES : 1);
  const isAgain = mood === "twice" && collectedAt !== null;
  const moments = isAgain ? [ready, collectedAt + again] : [ready];
  return moments
    .filter((moment) => clock() >= moment)
    .map((moment, before) => {
      const figures = simulatedFigures(hashOf(label) + before, oilLife);
      const inPpm = ({ name, value, unit }: LabFigure): LabFigure =>
        name === "water" ? { name, value: value * 10_000, unit: "ppm" } : { name, value, unit };
      return {
        ...{ number: before + 1, on: new Date(moment).toISOString().slice(0, 10) },
        figures: mood === "other-unit" ? figures.map(inPpm) : figures,
        ...{ limits: LIMITS, lowest: LOWEST },
        remarks: before === 0 ? remarksOn(figures) : "Measured again: this replaces our first.",
      };
    });
}

/** What was sent with a sample, read with care; null where it is none. */
function sampleIn(body: unknown): Pick<Sent, "label" | "oilLife"> | null {
  const { label, oilLife } = (body ?? {}) as Partial<Record<"label" | "oilLife", unknown>>;
  if (typeof label !== "string" || label.trim() === "" || label.length > LONGEST_LABEL) return null;
  const isLife = typeof oilLife === "number" && Number.isFinite(oilLife) && oilLife > 0;
  return { label: label.trim(), oilLife: isLife ? oilLife : 100 };
}

/**
 * The simulated laboratory (docs/formats/stand-ins.md): a sample is sent with its label, and asked after by it. It keeps what was sent as
 * long as the server runs.
 */
export function simulatedLaboratory(options: LaboratoryOptions): Router {
  const { clock, takes, moodOf } = options;
  const kept = new Map<string, Sent>();
  const router = Router();
  const told = (sent: Sent): object => {
    const answers = answersTo(sent, moodOf(sent.label), options);
    if (answers.length > 0) sent.collectedAt ??= clock();
    return {
      ...{ label: sent.label, known: true, laboratory: NAME, simulated: true },
      ...{ promised: new Date(sent.at + takes).toISOString(), answers },
    };
  };
  router.post("/stand-ins/laboratory/samples", json({ limit: "10kb" }), (request, response) => {
    const sample = sampleIn(request.body);
    if (sample === null) {
      response.status(400).json({ code: "label-missing" });
      return;
    }
    const sent: Sent = { ...sample, at: clock(), collectedAt: null };
    const [oldest] = kept.keys();
    if (kept.size >= MOST_KEPT && oldest !== undefined) kept.delete(oldest);
    kept.set(sent.label, sent);
    response.set("Cache-Control", "no-store").status(202).json(told(sent));
  });
  router.get("/stand-ins/laboratory/samples/:label", (request, response) => {
    response.set("Cache-Control", "no-store");
    const sent = kept.get(request.params.label);
    // What it lost it does not know of, once it should have answered.
    const isLost =
      sent !== undefined && moodOf(sent.label) === "lost" && clock() >= sent.at + takes;
    if (sent === undefined || isLost) {
      response.json({ label: request.params.label, known: false, simulated: true });
    } else response.json(told(sent));
  });
  return router;
}
