import {
  applyChange,
  bookWithout,
  coldOf,
  fluidDoubts,
  isWrongProduct,
  plannedWork,
  workDoubts,
  correctEntry,
  followUpsOwed,
  logWork,
  parseDay,
  parseFigure,
  reckonedDial,
  reckonMachineBook,
  recordsByMachine,
  reckonMeters,
  type BoardMachine,
  ownValue,
  type DayNumber,
  type Entry,
  type EntryId,
  type FigureDoubt,
  type FluidDoubt,
  type Gallons,
  type PlannedWork,
  type LookAgain,
  type NotCorrectable,
  type OwedFollowUp,
  type LogWorkInput,
  type LogWorkIssue,
  type MachineBook,
  type MeterId,
  type Settings,
  type TaskId,
} from "@yonderfell/core";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { formTookOf, isUntouched, tookFrom, type FormTook, type TookIssue } from "./tookModel.js";
import { answerFrom, NO_FIGURES, type AnswerChoice, type AnswerFigures } from "./figureAnswer.js";
import type { MachineCommand } from "../../../data/bookStorage.js";
import { lookingAhead } from "../../../data/lookingAhead.js";
import { decimalSign, typedFigure } from "../../../words/writing.js";
import { movesBetween, type Move } from "../../../words/moves.js";

/** A meter's figure in the form: the text, and whether the person wrote it or it was reckoned. */
export interface FormFigure {
  readonly meter: string;
  readonly text: string;
  readonly isOwn: boolean;
  /** What the person says of it where it does not agree with the others. */
  readonly choice: AnswerChoice | null;
  readonly answer: AnswerFigures;
}

/** A task tested sound, as it stands in the form: look again after so much, by months, days or a meter. */
export interface FormTest {
  readonly task: string;
  readonly amount: string;
  /** `months`, `days`, or the id of a meter. */
  readonly unit: string;
  readonly found: string;
}

/** A task tested sound, before anything else is said of it: look again in half a year. */
export const newTest = (task: string): FormTest => ({
  ...{ task, amount: "6", unit: "months", found: "" },
});

/** Until when the papers of a task say that it holds; empty where that is not said. */
export interface FormPaper {
  readonly task: string;
  readonly date: string;
}

/** Whether what follows work of an earlier day was done with it; empty as long as that is not said. */
export type FollowUpsAnswer = "" | "done" | "owed";

/** The form as filled in so far; also what is kept as a draft. */
export interface LogForm {
  readonly date: string;
  readonly tasks: readonly string[];
  readonly tests: readonly FormTest[];
  readonly papers: readonly FormPaper[];
  readonly followUps: FollowUpsAnswer;
  readonly figures: readonly FormFigure[];
  readonly note: string;
  readonly took: FormTook;
}

/** A figure about which nothing has been asked yet. */
export function unasked(meter: string, text: string, isOwn: boolean): FormFigure {
  return { meter, text, isOwn, choice: null, answer: NO_FIGURES };
}

/** What a machine's dials are reckoned to have shown on a day, as the form shows it; empty where unknown. */
export function reckonedTexts(
  book: MachineBook,
  settings: Settings,
  day: DayNumber,
  today: DayNumber,
): ReadonlyMap<MeterId, string> {
  const records = recordsByMachine(book).get(book.machines[0].id);
  if (records === undefined) return new Map();
  const texts = new Map<MeterId, string>();
  for (const [id, reckoning] of reckonMeters(records, settings, today)) {
    const dial = reckonedDial(reckoning, day);
    texts.set(id, dial === null ? "" : typedFigure(dial, reckoning.meter.unit === "h" ? 1 : 0));
  }
  return texts;
}

/** The form with the figures the person has not touched reckoned for its day. */
export function withReckonedFigures(
  figures: readonly FormFigure[],
  reckoned: ReadonlyMap<MeterId, string>,
): FormFigure[] {
  return [...reckoned].map(([meter, text]) => {
    const current = figures.find((one) => one.meter === meter);
    return current?.isOwn === true ? current : unasked(meter, text, false);
  });
}

/** The follow-ups that logging work leaves to be done though they may have been done with it; none of a correction. */
function owedBy(
  book: MachineBook,
  input: LogWorkInput,
  today: DayNumber,
  correcting: EntryId | null,
): OwedFollowUp[] {
  if (correcting !== null || input.day >= today) return [];
  const logged = logWork(book, { ...input, followUpsDone: false }, lookingAhead(today));
  const entry = logged.ok
    ? logged.value.records.find(({ section }) => section === "entries")?.id
    : undefined;
  return logged.ok && entry !== undefined
    ? followUpsOwed(book, logged.value, entry as EntryId, today)
    : [];
}

/** What keeps the form from being put to the command. */
export type FormIssue =
  | { readonly code: "date-missing" }
  /** Whether what follows the work was done with it is not said. */
  | { readonly code: "follow-ups-unsaid" }
  | { readonly code: "figure-unreadable"; readonly meter: MeterId }
  /** An amount that is over 5 % off what the system takes, and no word of why. */
  | { readonly code: "needs-a-word"; readonly system: string }
  | { readonly code: "wrong-product"; readonly system: string }
  | TookIssue;

/** The form as the command takes it, or what cannot be read in it. Empty figures are left out. */
export function inputFrom(
  form: LogForm,
  gallons: Gallons | null = null,
): {
  readonly input: LogWorkInput | null;
  readonly issues: readonly FormIssue[];
} {
  const day = parseDay(form.date);
  const issues: FormIssue[] = day === null ? [{ code: "date-missing" }] : [];
  const figures = form.figures.flatMap((one) => {
    if (one.text.trim() === "") return [];
    const meter = one.meter as MeterId;
    const value = parseFigure(one.text, decimalSign());
    if (value === null) issues.push({ code: "figure-unreadable", meter });
    const answer = answerFrom(one.choice, one.answer);
    return value === null ? [] : [{ meter, value, estimated: !one.isOwn, answer }];
  });
  const { took, issues: unread } = tookFrom(form.took, gallons);
  issues.push(...unread);
  if (day === null || issues.length > 0) return { input: null, issues };
  const tasks = form.tasks as readonly TaskId[];
  const lookAgain = form.tests.map(lookAgainOf);
  const validUntil = form.papers.flatMap(({ task, date }) => {
    const until = form.tasks.includes(task) ? parseDay(date) : null;
    return until === null ? [] : [{ task: task as TaskId, day: until }];
  });
  const said = { validUntil, followUpsDone: form.followUps === "done" };
  return { input: { day, tasks, figures, note: form.note, lookAgain, took, ...said }, issues };
}

function lookAgainOf({ task, amount, unit, found }: FormTest): LookAgain {
  const value = parseFigure(amount, decimalSign()) ?? Number.NaN;
  const after =
    unit === "months" || unit === "days"
      ? { [unit]: value }
      : { meter: unit as MeterId, amount: value };
  return {
    task: task as TaskId,
    ...after,
    ...(found.trim() === "" ? {} : { found: found.trim() }),
  };
}

function formTestOf({ task, months, days, meter, amount, found }: LookAgain): FormTest {
  const value = months ?? days ?? amount ?? 0;
  const unit = meter ?? ((months ?? null) === null ? "days" : "months");
  return { task, amount: typedFigure(value), unit, found: found ?? "" };
}

/** The form of an entry as it stands, for correcting it. */
export function formOf(entry: Entry, book: MachineBook): LogForm {
  const estimated: readonly string[] = entry.estimatedMeters ?? [];
  const figures = (book.machines[0].meters ?? []).map(({ id }) => {
    const value = ownValue(entry.meters, id);
    return unasked(id, value === undefined ? "" : typedFigure(value), !estimated.includes(id));
  });
  return {
    date: entry.date,
    tasks: entry.tasks ?? [],
    tests: (entry.lookAgain ?? []).map(formTestOf),
    papers: [],
    followUps: "",
    figures,
    note: entry.note ?? "",
    took: formTookOf(entry),
  };
}

/** What stands in the way of the form. */
export type LogIssue = FormIssue | LogWorkIssue | NotCorrectable;

/** What would come of logging the work. */
export interface LogOutlook {
  readonly before: BoardMachine;
  /** The machine after it; the same as before where it cannot be logged yet. */
  readonly after: BoardMachine;
  readonly moves: readonly Move[];
  readonly issues: readonly LogIssue[];
  /** The figures that do not agree with the others, by meter, whatever has been answered. */
  readonly doubts: ReadonlyMap<string, FigureDoubt>;
  /** What follows work of an earlier day and may have been done with it. */
  readonly owed: readonly OwedFollowUp[];
  /** What the ticked tasks are known to take. */
  readonly plan: PlannedWork;
  /** What is odd about the fluids of the form, row by row. */
  readonly fluidDoubts: readonly (readonly FluidDoubt[])[];
}

/** What stands around the form: what it is looked at beside. */
export interface LogAround {
  readonly settings: Settings;
  readonly today: DayNumber;
  /** The entry that is being corrected; null for new work. */
  readonly correcting: EntryId | null;
  /** What the machine's work is known to take from; null until it is read. */
  readonly work: WorkSource | null;
}

const NO_PLAN: PlannedWork = { fluids: [], parts: [], minutes: null };

/** What the tasks that are ticked are known to take. */
export function planOf(
  book: MachineBook,
  tasks: readonly string[],
  work: WorkSource | null,
): PlannedWork {
  if (work === null) return NO_PLAN;
  return plannedWork(
    book.tasks.filter(({ id }) => tasks.includes(id)),
    work,
  );
}

/** What is odd about the fluids that go in; nothing of those that a correction leaves as they were. */
function doubtsOf(book: MachineBook, form: LogForm, { work }: LogAround): FluidDoubt[][] {
  if (work === null) return form.took.fluids.map(() => []);
  const gallons = work.settings?.gallons ?? null;
  const { took } = tookFrom(form.took, book.machines[0].gallons ?? gallons);
  const done = book.tasks.filter(({ id }) => form.tasks.includes(id));
  const uses = form.took.isTopUp ? [] : done.flatMap((task) => task.uses ?? []);
  const cold = coldOf(book.machines[0], work.settings);
  return form.took.fluids.map((row, index) => {
    const fluid = work.plate.fluids.find(({ id }) => id === row.fluid);
    const line = took.fluids?.[index];
    if (fluid === undefined || !line?.in || isUntouched(row)) return [];
    const product = work.products.find(({ id }) => id === row.product) ?? null;
    return fluidDoubts(line, { fluid, product, uses, cold });
  });
}

/** The fluids whose amounts, or products, need a word that is not there. */
function wordless(
  form: LogForm,
  doubts: readonly (readonly FluidDoubt[])[],
  work: WorkSource | null,
): FormIssue[] {
  if (form.note.trim() !== "") return [];
  return form.took.fluids.flatMap((row, index) => {
    const own = doubts[index] ?? [];
    const isOff = own.some(({ code }) => code === "off-capacity");
    const isWrong = own.some(
      (doubt) => doubt.code === "does-not-cover" && doubt.issues.some(isWrongProduct),
    );
    const system = work?.plate.fluids.find(({ id }) => id === row.fluid)?.system ?? row.fluid;
    return [
      ...(isWrong ? [{ code: "wrong-product" as const, system }] : []),
      ...(isOff ? [{ code: "needs-a-word" as const, system }] : []),
    ];
  });
}

/** The command the form stands for: logging work, or correcting the entry of an id. */
export function commandOf(
  input: LogWorkInput,
  correcting: EntryId | null,
): MachineCommand<LogWorkIssue | NotCorrectable> {
  return (book, context) =>
    correcting === null
      ? logWork(book, input, context)
      : correctEntry(book, correcting, input, context);
}

/** What the form would bring, or what stands in its way. */
export function logOutlook(book: MachineBook, form: LogForm, around: LogAround): LogOutlook {
  const { settings, today, correcting, work } = around;
  const before = reckonMachineBook(book, settings, today);
  const gallons = book.machines[0].gallons ?? work?.settings?.gallons ?? null;
  const { input, issues } = inputFrom(form, gallons);
  const seen = { plan: planOf(book, form.tasks, work), fluidDoubts: doubtsOf(book, form, around) };
  const nothing = { before, after: before, moves: [], owed: [], ...seen };
  if (input === null) return { ...nothing, issues, doubts: new Map() };
  const rest = correcting === null ? book : bookWithout(book, "entries", correcting);
  const doubts = workDoubts(rest, input, today);
  const result = commandOf(input, correcting)(book, lookingAhead(today));
  if (!result.ok) return { ...nothing, issues: result.issues, doubts };
  const owed = owedBy(book, input, today, correcting);
  const after = reckonMachineBook(applyChange(book, result.value), settings, today);
  const moves = movesBetween(before, after, today);
  const isUnsaid = owed.length > 0 && form.followUps === "";
  const unsaid: FormIssue[] = isUnsaid ? [{ code: "follow-ups-unsaid" }] : [];
  const words = wordless(form, seen.fluidDoubts, work);
  return { ...seen, before, after, moves, issues: [...unsaid, ...words], doubts, owed };
}
