import { groupBy } from "es-toolkit";
import type { Book } from "../../book/file/book.js";
import type { MachineId } from "../../book/records/ids.js";
import type { Job } from "../../book/records/job.js";
import type { Lesson } from "../../book/records/lesson.js";
import type { Sample } from "../../book/records/sample.js";
import { settingsOf, type Settings } from "../../book/records/settings.js";
import { recordsByMachine, type MachineRecords } from "../../book/slice/machineRecords.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { reckonMeters } from "../../meter/reckonMeter.js";
import type { NeedsSource } from "../../stores/taskNeeds.js";
import { meterOfUse } from "../inUse.js";
import { needsSources } from "../needsSources.js";
import { capacitiesBeside } from "./capacities.js";
import { consumptionTrend } from "./consumption.js";
import { estimatesBeside } from "./estimates.js";
import { intervalsSeen } from "./intervals.js";
import {
  partLives,
  partLivesOn,
  partsKnown,
  type PartLife,
  type PartLives,
  type PartsKnown,
} from "./partLives.js";
import {
  intervalSubject,
  lastAnswer,
  proposalsOf,
  type ProposalStanding,
  type SpeaksFor,
} from "./proposals.js";

/** What the records of one machine teach. */
export interface MachineLearning extends SpeaksFor {
  readonly machine: MachineId;
  readonly proposals: readonly ProposalStanding[];
  readonly lives: readonly PartLife[];
}

/** What a book teaches. */
export interface Learning {
  /** To be answered, the newest evidence first. */
  readonly open: readonly ProposalStanding[];
  /** Answered in a way that still holds, the latest answer first. */
  readonly aside: readonly ProposalStanding[];
  /** How long parts lasted, by number and source. */
  readonly lives: readonly PartLives[];
  /** The one machine it was asked of; null for all. */
  readonly of: MachineLearning | null;
}

interface Own {
  readonly samples: readonly Sample[];
  readonly jobs: readonly Job[];
  readonly lessons: readonly Lesson[];
  readonly needs: NeedsSource;
  readonly known: PartsKnown;
}

function learnedOn(
  records: MachineRecords,
  { samples, jobs, lessons, needs, known }: Own,
  settings: Settings,
  today: DayNumber,
): MachineLearning {
  const { machine, tasks, findings } = records;
  const { fluids } = needs.plate;
  const entries = records.entries.filter(({ day }) => day <= today);
  const meters = reckonMeters(records, settings, today);
  const meter = meterOfUse([...meters.values()]) ?? null;
  const { id } = machine;
  const speaks: SpeaksFor = {
    intervals: intervalsSeen(
      { machine, tasks, entries, findings, fluids, samples, jobs, meters, today },
      (task, on) => {
        const last = lastAnswer(lessons, intervalSubject(id, { task, meter: on }));
        return last?.answer === "done" ? dayOf(last.on) : null;
      },
    ),
    consumption:
      meter === null
        ? []
        : fluids.flatMap((fluid) => consumptionTrend(fluid, entries, meter) ?? []),
    capacities: capacitiesBeside(fluids, entries),
    estimates: estimatesBeside(tasks, entries, needs),
  };
  return {
    ...{ machine: id, ...speaks },
    proposals: proposalsOf(id, speaks, lessons, today),
    lives: partLivesOn(id, entries, meter, known),
  };
}

/**
 * What the records of a book teach up to `today` (records §4): what they speak for, each proposal with what it stands on and
 * the answer that holds; how long parts lasted; and of one machine all that is known: what its turns say of intervals, what its
 * systems take, capacities beside printed ones, estimates beside what it took. Nothing is changed by it.
 *
 * @param machine the one machine it is asked of; null for all.
 */
export function learning(book: Book, today: DayNumber, machine: MachineId | null): Learning {
  const settings = settingsOf(book);
  const needsOf = needsSources(book, today);
  const known = partsKnown(book.parts ?? [], book.stockMoves ?? []);
  const [samples, jobs, lessons] = [
    groupBy(book.samples ?? [], (one) => one.machine),
    groupBy(book.jobs ?? [], (one) => one.machine),
    groupBy(book.lessons ?? [], (one) => one.machine),
  ];
  const all: MachineLearning[] = [];
  for (const records of recordsByMachine(book).values()) {
    const { id } = records.machine;
    if (machine !== null && id !== machine) continue;
    const own: Own = {
      ...{ samples: samples[id] ?? [], jobs: jobs[id] ?? [], lessons: lessons[id] ?? [] },
      ...{ needs: needsOf(records), known },
    };
    all.push(learnedOn(records, own, settings, today));
  }
  const proposals = all.flatMap((one) => one.proposals);
  return {
    open: proposals
      .filter(({ lesson }) => lesson === null)
      .toSorted((one, other) => other.proposal.newest - one.proposal.newest),
    aside: proposals
      .filter(({ lesson }) => lesson !== null)
      .toSorted((one, other) => ((one.lesson?.on ?? "") < (other.lesson?.on ?? "") ? 1 : -1)),
    lives: partLives(all.flatMap(({ lives }) => lives)),
    of: machine === null ? null : (all[0] ?? null),
  };
}
