import {
  dayOf,
  WITHOUT_A_LOOK,
  type RecordDial,
  type RecordFluid,
  type RecordGap,
  type RecordLine,
  type RecordMeasure,
  type ServiceRecord,
} from "@yonderfell/core";
import { groupBy } from "es-toolkit";
import { counted, dialFigureWithUnit, figure, fullDate, sentence } from "../../../words/format.js";
import { asTyped } from "../../../words/quantityWords.js";

type MeterUnit = Parameters<typeof dialFigureWithUnit>[1];

/** What a dial showed, and all it has run where that differs: `500 km, 91 500 km in all (reckoned)`. */
export function dialWords({ unit, dial, life, estimated }: RecordDial): string {
  const asUnit = unit as MeterUnit;
  const shown = dial === undefined ? [] : [dialFigureWithUnit(dial, asUnit)];
  const isOver = life !== undefined && life !== dial;
  const inAll = isOver ? [`${dialFigureWithUnit(life, asUnit)} in all`] : [];
  return `${[...shown, ...inAll].join(", ")}${estimated ? " (reckoned)" : ""}`;
}

const spoken = (words: readonly (string | undefined | false)[], between = " "): string =>
  words.filter((one) => one !== undefined && one !== false && one !== "").join(between);

/** A fluid that came out and went in: `engine: Tarnside Semi 5W-30 (SN, A5/B5), out 3.5 L, in 3.8 L, on the mark`. */
export function fluidWords(fluid: RecordFluid): string {
  const { system, product, claims, condition, out, in: filled, onMark } = fluid;
  const what = spoken([product, claims && `(${claims.join(", ")})`]);
  const said = spoken(
    [what, condition, out && `out ${asTyped(out)}`, filled && `in ${asTyped(filled)}`],
    ", ",
  );
  return `${sentence(system)}: ${said}${onMark ? ", on the mark" : ""}`;
}

/** A measure: `pad, left: 4 mm, watch`. */
function measureWords({ name, readings, verdict, note }: RecordMeasure): string {
  const figures = (readings ?? []).map(asTyped).join(", ");
  return `${sentence(name)}: ${spoken([figures, verdict, note], ", ")}`;
}

type Work = Extract<RecordLine, { readonly kind: "work" | "top-up" | "note" }>;

/** What work took and found, one line each. */
function workDetails(line: Work): string[] {
  return [
    ...(line.fluids ?? []).map(fluidWords),
    (line.parts ?? [])
      .map(({ number, name, count }) =>
        spoken([count === 1 ? "" : `${figure(count)} ×`, number, name]),
      )
      .join(" · "),
    ...(line.measures ?? []).map(measureWords),
    (line.torques ?? [])
      .map(({ name, torque, by }) => spoken([name, torque && asTyped(torque), by && `by ${by}`]))
      .join(" · "),
    ...(line.tested ?? []).map(({ task, found }) => spoken([`${task}: tested sound`, found], ", ")),
    ...(line.codes ?? []).map(({ code, fact }) => `Code ${code} ${fact}`),
    ...(line.closes ?? []).map((what) => `Put right: ${what}`),
    ...(line.left ?? []).map(({ step, reason }) => spoken([`Left: ${step}`, reason], ", ")),
    ...(line.others ?? []).map((what) => `Done by a shop: ${what}`),
  ].filter((words) => words !== "");
}

/** Verdicts of what was not looked at. */
const UNSEEN: ReadonlySet<string> = new Set<string>(WITHOUT_A_LOOK);

/** The results of a round: those that were not looked at for one reason together, after the others. */
function resultWords(results: readonly RecordMeasure[]): string[] {
  const isUnseen = ({ verdict }: RecordMeasure): boolean => UNSEEN.has(verdict ?? "");
  const reasons = groupBy(results.filter(isUnseen), ({ verdict, note }) =>
    spoken([verdict, note], ", "),
  );
  return [
    ...results.filter((one) => !isUnseen(one)).map(measureWords),
    ...Object.entries(reasons).map(
      ([reason, all]) => `${sentence(reason)}: ${all.map(({ name }) => name).join("; ")}`,
    ),
  ];
}

/** How a line is headed: what was done, looked at or found. */
export function titleWords(line: RecordLine): string {
  switch (line.kind) {
    case "work":
    case "note": {
      const tasks = (line.tasks ?? []).join(", ");
      if (tasks !== "") return tasks;
      return line.kind === "note" ? "Note" : "Work";
    }
    case "top-up":
      return "Topped up";
    case "round":
      return `Round: ${line.checklist}`;
    case "finding":
      return `Found: ${line.what}`;
    case "sample":
      return `Sample: ${line.system}`;
    case "dial change":
      return `Dial replaced: ${line.meter}`;
    case "out of service":
      return `Out of service: ${line.reason}`;
  }
}

/** What is to be known of how a line came about; empty where it was simply done and written. */
export function markWords(line: RecordLine): string[] {
  switch (line.kind) {
    case "work":
    case "top-up":
    case "note":
      return [
        line.assumed ? "assumed: nobody saw it done" : "",
        line.warranty ? "under warranty" : "",
        line.corrected ? "corrected since it was first written" : "",
      ].filter((words) => words !== "");
    case "round":
      return line.underWay ? ["still under way"] : [];
    case "finding":
    case "sample":
    case "dial change":
    case "out of service":
      return [];
  }
}

/** What stands under the heading of a line, one each. */
export function detailWords(line: RecordLine): string[] {
  switch (line.kind) {
    case "work":
    case "top-up":
    case "note":
      return workDetails(line);
    case "round": {
      const verdicts = Object.entries(line.verdicts).map(
        ([verdict, n]) => `${figure(n)} ${verdict}`,
      );
      return [verdicts.join(", "), ...resultWords(line.results ?? [])].filter(Boolean);
    }
    case "finding":
      return [
        spoken([line.verdict && sentence(line.verdict), line.evidence], ": "),
        line.ended === undefined
          ? `Open on the day of issue; decided: ${line.decision}`
          : `Ended ${fullDate(dayOf(line.ended.on))}: ${line.ended.how}`,
      ].filter((words) => words !== "");
    case "sample": {
      const values = Object.entries(line.values ?? {}).map(([name, value]) => `${name} ${value}`);
      const answered = line.answered === undefined ? "no answer yet" : values.join(", ");
      return [spoken([line.label, line.lab], ", "), answered, line.advice ?? ""].filter(Boolean);
    }
    case "dial change": {
      const unit = line.unit as MeterUnit;
      const turned = `from ${dialFigureWithUnit(line.oldFinal, unit)} to ${dialFigureWithUnit(line.newStart, unit)}`;
      const lost =
        line.lost === undefined
          ? []
          : [`${dialFigureWithUnit(line.lost, unit)} run without a dial`];
      return [turned, ...lost];
    }
    case "out of service": {
      const { released } = line;
      if (released === undefined) return ["Still out of service on the day of issue"];
      return [`Released ${fullDate(dayOf(released.on))} by ${released.by}: ${released.done}`];
    }
  }
}

/** Who did a line; empty where nobody is named. */
export const whoWords = (line: RecordLine): string =>
  "who" in line ? (line.who ?? []).join(", ") : "";

/** A stretch without a record, in a sentence. */
export function gapWords({ from, to, days, why }: RecordGap): string {
  const span = `${fullDate(dayOf(from))} to ${fullDate(dayOf(to))}, ${counted(days, "day")}`;
  switch (why) {
    case "before-the-first":
      return `No record of this time: ${span}, from the day in service to the first record`;
    case "between":
      return `No record of this time: ${span}`;
    case "since-the-last":
      return `No record since: ${span}`;
  }
}

/** What a record holds, in a sentence. */
export function holdsWords({ lines, readings, gaps }: ServiceRecord): string {
  const assumed = lines.filter((line) => "assumed" in line).length;
  const said = [
    counted(lines.length, "line"),
    counted(readings.length, "reading of a dial", "readings of a dial"),
    gaps.length === 0 ? "no gap of more than a year" : counted(gaps.length, "gap"),
    assumed === 0 ? "" : `${counted(assumed, "line")} only assumed, marked as such`,
  ];
  return said.filter((words) => words !== "").join(" · ");
}
