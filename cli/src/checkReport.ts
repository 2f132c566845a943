import {
  DECLARED,
  dialOn,
  digestedWords,
  formatDay,
  SECTION_WORDS,
  SECTIONS,
  type Book,
  type DayNumber,
  type Digested,
  type MachineReckoning,
  type MeterReckoning,
  type Point,
} from "@yonderfell/core";

function faultLine(
  machine: MachineReckoning,
  { meter, dials }: MeterReckoning,
  fault: Point,
): string {
  const offset = dials[dialOn(dials, fault.day) - 1]?.offset ?? 0;
  const figure = Math.round((fault.life - offset) * 10) / 10;
  return `fault: ${machine.machine.tag} ${machine.machine.name}, ${meter.id}: ${figure} ${meter.unit} on ${formatDay(fault.day)} (${fault.section} ${JSON.stringify(fault.id)}) does not agree with the figures around it`;
}

function doubtLine(
  machine: MachineReckoning,
  { meter, stoppedOn, lastOn }: MeterReckoning,
): string {
  const named = `${machine.machine.tag} ${machine.machine.name}, ${meter.id}`;
  if (stoppedOn !== null) return `doubtful: ${named}: stopped since ${formatDay(stoppedOn)}`;
  return lastOn === null
    ? `doubtful: ${named}: never read`
    : `doubtful: ${named}: last read ${formatDay(lastOn)}`;
}

const counted = (count: number, one: string, many: string): string =>
  `${count} ${count === 1 ? one : many}`;

/** What is told only where there is any. */
const OTHERS = SECTIONS.filter((section) => DECLARED[section].part !== "rules");

/** What a sound book holds, and what in it deserves a look: what was changed by hand, faults and doubtful meters. */
export function checkReport(
  book: Book,
  machines: readonly MachineReckoning[],
  today: DayNumber,
  changed: readonly Digested[],
): string {
  const held = [
    counted(book.machines?.length ?? 0, "machine", "machines"),
    counted(book.tasks?.length ?? 0, "task", "tasks"),
    counted(book.readings?.length ?? 0, "reading", "readings"),
    counted(book.entries?.length ?? 0, "entry", "entries"),
    counted(book.meterChanges?.length ?? 0, "meter change", "meter changes"),
    ...OTHERS.flatMap((section) => {
      const count = book[section]?.length ?? 0;
      const [one, many] = SECTION_WORDS[section];
      return count === 0 ? [] : [counted(count, one, many)];
    }),
  ];
  const meters = machines.flatMap((machine) => machine.meters.map((meter) => ({ machine, meter })));
  const faults = meters.flatMap(({ machine, meter }) =>
    meter.faults.map((fault) => faultLine(machine, meter, fault)),
  );
  const doubts = meters
    .filter(({ meter }) => meter.stale || meter.stoppedOn !== null)
    .map(({ machine, meter }) => doubtLine(machine, meter));
  const summary = `A sound book: ${held.join(", ")}. On ${formatDay(today)}: ${counted(faults.length, "fault", "faults")}, ${counted(doubts.length, "doubtful meter", "doubtful meters")}.`;
  const since =
    changed.length === 0 ? [] : [`changed since it was written: ${digestedWords(changed)}`];
  return [summary, ...since, ...faults, ...doubts]
    .map((line) => line.replaceAll(/\s+/g, " "))
    .join("\n");
}
