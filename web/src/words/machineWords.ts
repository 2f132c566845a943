import type { MachineIssue, MeterIssue, ServiceIssue, VinDoubt } from "@yonderfell/core";
import { counted, fullDate } from "./format.js";

/** Kinds of machine that are offered while typing. */
export const KINDS: readonly string[] = [
  "car",
  "van",
  "electric van",
  "bus",
  "heavy lorry",
  "motorcycle",
  "mower",
  "tractor",
  "tracked carrier",
  "generator",
  "pump",
  "stationary engine",
  "boat engine",
  "trailer",
];

/** Whether what was done before is known. */
export const HISTORY_CHOICES = [
  ["known", "known"],
  ["unknown", "not known: came without records"],
] as const;

/** Whose quarts and gallons a bare word means. */
export const GALLON_CHOICES = [
  ["", "litres, or as each is typed"],
  ["us", "US quarts and gallons"],
  ["imperial", "imperial pints and gallons"],
] as const;

/** What stands in the way of a machine, and what to do. */
export function machineIssueWords(issue: MachineIssue): string {
  switch (issue.code) {
    case "tag-missing":
      return "Give it a number or a short name to call it by.";
    case "name-missing":
      return "Give it a name.";
    case "kind-missing":
      return "Say what kind of machine it is.";
    case "tag-taken":
      return `The number ${issue.by.tag} belongs to ${issue.by.name}; choose another.`;
    case "figure-not-a-number":
      return `What the ${issue.meter} shows must be a number of 0 or more.`;
  }
}

/** What is odd about an identification number; it is kept as it is typed. */
export function vinDoubtWords(doubt: VinDoubt): string {
  switch (doubt.code) {
    case "not-17-characters":
      return `${counted(doubt.length, "character")}; a VIN has 17. A serial number may have any.`;
    case "letter-never-used":
      return `The letter ${doubt.letter} at place ${doubt.position} never occurs in a VIN; perhaps ${doubt.letter === "I" ? "1" : "0"}.`;
    case "not-a-letter-or-digit":
      return `“${doubt.character}” at place ${doubt.position} does not occur in a VIN.`;
    case "check-digit":
      return `The check digit, the 9th, would be ${doubt.expected} and not ${doubt.found}: look again, unless this market does not use it.`;
  }
}

/** What stands in the way of taking a machine out of service or releasing it. */
export function serviceIssueWords(issue: ServiceIssue): string {
  switch (issue.code) {
    case "reason-missing":
      return "Say why it may not be used.";
    case "name-missing":
      return "Say who you are.";
    case "done-missing":
      return "Say what was done.";
    case "day-in-future":
      return "The day is still to come; choose one that has been.";
    case "before-it-stopped":
      return `It has been out of service since ${fullDate(issue.since)}; choose that day or a later one.`;
    case "out-of-service-already":
      return "It is out of service already.";
    case "in-service-already":
      return "It is in service.";
  }
}

/** What stands in the way of a change to a meter. */
export function meterIssueWords(issue: MeterIssue): string {
  switch (issue.code) {
    case "meter-not-found":
      return "The machine no longer has this meter.";
    case "name-missing":
      return "Give the meter a name, such as odometer or pump hours.";
    case "name-taken":
      return `It has a meter called ${issue.name} already.`;
    case "day-in-future":
      return "The day is still to come; choose one that has been.";
    case "figure-not-a-number":
      return "The figures must be numbers of 0 or more.";
    case "changed-that-day":
      return `This meter has a change on ${fullDate(issue.day)} already; choose the day before or after.`;
    case "figures-would-not-agree":
      return `With it ${counted(issue.count, "recorded figure")} could no longer be true; look again at the day and the figures.`;
    case "stopped-already":
      return "It is said to stand still already.";
    case "not-stopped":
      return "It is not said to stand still.";
  }
}
