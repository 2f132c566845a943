import type { Quantity } from "../quantity/quantity.js";
import type { Unit } from "../quantity/unit.js";

/** What a dial showed, by the name of its meter. */
export interface RecordDial {
  readonly meter: string;
  readonly unit: Unit;
  /** What the dial showed; absent where it was not read. */
  readonly dial?: number;
  /** All the machine has run by then, over dials that were replaced; absent where unknown. */
  readonly life?: number;
  /** Not read but reckoned from the days before and after, or accepted as reckoned. */
  readonly estimated?: true;
}

/** A picture that stands beside the record, by the SHA-256 of its bytes. */
export interface RecordPicture {
  readonly hash: string;
  readonly caption?: string;
}

/** What came out of a fluid system and went into it. */
export interface RecordFluid {
  readonly system: string;
  readonly condition?: string;
  readonly product?: string;
  /** Specification codes and approvals that its label claims. */
  readonly claims?: readonly string[];
  readonly out?: Quantity;
  readonly in?: Quantity;
  readonly onMark?: true;
}

/** A measure, or a result of a round: what, what was read, and what it says. */
export interface RecordMeasure {
  readonly name: string;
  readonly readings?: readonly Quantity[];
  readonly verdict?: string;
  readonly note?: string;
}

/** Work that was done. */
export interface RecordWork {
  readonly kind: "work" | "top-up" | "note";
  readonly tasks?: readonly string[];
  /** Taken as done without a record of it. */
  readonly assumed?: true;
  readonly warranty?: true;
  /** Written again since it was first written. */
  readonly corrected?: true;
  readonly who?: readonly string[];
  /** Done or supplied by others, as it was paid for. */
  readonly others?: readonly string[];
  readonly fluids?: readonly RecordFluid[];
  readonly parts?: readonly {
    readonly number: string;
    readonly name: string;
    readonly count: number;
  }[];
  readonly measures?: readonly RecordMeasure[];
  readonly torques?: readonly {
    readonly name: string;
    readonly torque?: Quantity;
    readonly by?: string;
  }[];
  /** Tested sound, so that it was put off. */
  readonly tested?: readonly { readonly task: string; readonly found?: string }[];
  /** Codes of the machine, and what became of each. */
  readonly codes?: readonly { readonly code: string; readonly fact: string }[];
  /** Findings it put right. */
  readonly closes?: readonly string[];
  /** What was left out, and why. */
  readonly left?: readonly { readonly step: string; readonly reason?: string }[];
}

/** A round: what was looked at. */
interface RecordRound {
  readonly kind: "round";
  readonly checklist: string;
  readonly who?: readonly string[];
  /** So many checks by verdict. */
  readonly verdicts: Readonly<Record<string, number>>;
  /** What was measured, and everything that was not sound. */
  readonly results?: readonly RecordMeasure[];
  /** Under way: what it has not looked at is open. */
  readonly underWay?: true;
}

/** Something that was found, and how it ended. */
interface RecordFinding {
  readonly kind: "finding";
  readonly what: string;
  readonly verdict?: string;
  readonly who?: readonly string[];
  readonly evidence?: string;
  readonly decision: string;
  /** Absent where it is open on the day of issue. */
  readonly ended?: { readonly on: string; readonly how: string };
}

/** A fluid that was sampled for a laboratory. */
interface RecordSample {
  readonly kind: "sample";
  readonly system: string;
  readonly label?: string;
  readonly lab?: string;
  /** Absent where no answer has come. */
  readonly answered?: string;
  /** As the laboratory wrote them, by name. */
  readonly values?: Readonly<Record<string, number>>;
  readonly advice?: string;
}

/** A dial that was replaced, reset or rolled over. */
interface RecordDialChange {
  readonly kind: "dial change";
  readonly meter: string;
  readonly unit: Unit;
  readonly oldFinal: number;
  readonly newStart: number;
  /** Run while it stood still. */
  readonly lost?: number;
}

/** Days out of service. */
interface RecordStop {
  readonly kind: "out of service";
  readonly reason: string;
  /** Absent where it still is. */
  readonly released?: { readonly on: string; readonly by: string; readonly done: string };
}

/** A line of a service record. Fields that would be empty are absent. */
export type RecordLine = {
  readonly date: string;
  readonly dials?: readonly RecordDial[];
  readonly note?: string;
  readonly pictures?: readonly RecordPicture[];
} & (RecordWork | RecordRound | RecordFinding | RecordSample | RecordDialChange | RecordStop);

/** Days of which the book has no record. */
export interface RecordGap {
  readonly from: string;
  readonly to: string;
  readonly days: number;
  /** `before-the-first`: from the day in service on. */
  readonly why: "before-the-first" | "between" | "since-the-last";
}

/** A figure of a dial that was only read. */
export interface RecordReading {
  readonly date: string;
  readonly dial: RecordDial;
  /** Where it came from, where that is not the dial: a feed, a plug. */
  readonly source?: string;
}

/** What a record is of. */
export interface RecordedMachine {
  readonly tag: string;
  readonly name: string;
  readonly kind: string;
  readonly description?: string;
  readonly variant?: string;
  readonly vin?: string;
  readonly serial?: string;
  readonly registration?: string;
  readonly inService?: string;
  readonly acquired?: string;
  /** Whether all of its past is known: `unknown` where it was bought with no records. */
  readonly history: "known" | "unknown";
}

/** All of a service record that its digest is of. */
export interface RecordContent {
  readonly format: "yonderfell-service-record";
  readonly version: 1;
  /** The day it was issued, and the book it is from. */
  readonly issued: string;
  readonly book: string;
  readonly from: string;
  readonly to: string;
  readonly machine: RecordedMachine;
  /** In order of date. */
  readonly lines: readonly RecordLine[];
  readonly readings: readonly RecordReading[];
  readonly gaps: readonly RecordGap[];
}

/** A service record as it is issued, with the SHA-256 of what it holds, in hexadecimal. */
export interface ServiceRecord extends RecordContent {
  /** What the record says of itself to whoever finds it. */
  readonly about: Readonly<Record<string, string>>;
  /** Of each of its parts, so that what was changed can be named. */
  readonly digests: {
    readonly machine: string;
    readonly readings: string;
    readonly gaps: string;
    /** In the order of the lines. */
    readonly lines: readonly string[];
    /** Of the table that goes with it, `record.csv`, byte by byte. */
    readonly table: string;
  };
  /** Of all that stands above, `digests` with it: its canonical content. */
  readonly digest: string;
}
