import {
  BOOK_NEEDS,
  finishJob,
  formatDay,
  parseDay,
  type Change,
  type DayNumber,
  type Entry,
  type FinishJobIssue,
  type JobId,
  type JobWork,
  type LogWorkInput,
  type Gallons,
  type LogWorkIssue,
  type MachineBook,
  type NotCorrectable,
  type Settings,
} from "@yonderfell/core";
import { useMemo, useState, type FormEvent } from "react";
import { useForm, useWatch, type UseFormReturn } from "react-hook-form";
import { useBook } from "../../../session/openBook.js";
import { useCommands } from "../../../session/useCommands.js";
import { useAppSelector } from "../../../session/store.js";
import { logIssueWords } from "./logWords.js";
import type { Move } from "../../../words/moves.js";
import {
  commandOf,
  formOf,
  inputFrom,
  logOutlook,
  newTest,
  planOf,
  reckonedTexts,
  withReckonedFigures,
  type LogForm,
  type LogOutlook,
} from "./logModel.js";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { formTookOf, NOTHING_TOOK, withoutDropped } from "./tookModel.js";
import { draftKeyOf, useDraftKeeper, type DraftState, type KeptForm } from "./useLogDraft.js";

/** What the form of a machine's work starts from. */
export interface LogStart {
  readonly book: MachineBook;
  readonly settings: Settings;
  /** What the work is known to take from. */
  readonly work: WorkSource;
  /** The tasks it was opened for. */
  readonly asked: readonly string[];
  /** The tasks that it was opened for as tested sound, not done. */
  readonly tested?: readonly string[];
  /** The findings it was opened to put right. */
  readonly closes: readonly string[];
  /** What was measured and is to be kept with the work, each as JSON. */
  readonly measures: readonly string[];
  /** The row of what it took that is to be looked at, such as `fluids.0`. */
  readonly row?: string;
  readonly kept: KeptForm | null;
  /** The entry that is being corrected; null for new work. */
  readonly correcting: Entry | null;
  /** The job that is being finished, with what it came to. */
  readonly finishing?: Finishing;
}

/** A job that is being finished: what its entry is proposed with, and for which day. */
interface Finishing {
  readonly job: JobId;
  readonly proposed: JobWork;
  readonly day: DayNumber;
  /** When something was last told of the job; null where nothing was. */
  readonly toldAt: number | null;
}

/** Work that has been saved: its tasks, and the dates it moved. */
interface SavedWork {
  readonly tasks: readonly string[];
  readonly moves: readonly Move[];
  /** The entry that was written, and the change it came with. */
  readonly entry: Entry | null;
  readonly seq: number;
  /** Whether it is not certain to be kept. */
  readonly isDoubtful: boolean;
}

/** The form in hand. */
export interface LogFormState {
  readonly form: LogForm;
  readonly fields: UseFormReturn<LogForm>;
  readonly outlook: LogOutlook;
  /** Whether it was begun earlier and is gone on with. */
  readonly isKept: boolean;
  /** Whether what stands in the form now would survive a closed lid. */
  readonly draft: DraftState;
  readonly saved: SavedWork | null;
  readonly failure: string;
  readonly changeTasks: (tasks: readonly string[]) => void;
  readonly changeDate: (date: string) => void;
  readonly startAfresh: () => Promise<void>;
  readonly save: (event: FormEvent) => Promise<void>;
}

interface SaveWork {
  readonly saved: SavedWork | null;
  readonly failure: string;
  readonly write: (values: LogForm) => Promise<void>;
}

/** What finishing a job reads: all that logging does, the job and what was told of it. */
const FINISH_NEEDS = [...BOOK_NEEDS, "jobs", "jobEvents"] as const;

/** The work of a job as the person leaves it: what the form does not show goes with it as it was told. */
function finishInput(input: LogWorkInput, { proposed }: Finishing): LogWorkInput {
  return {
    ...input,
    took: { ...proposed.took, ...input.took },
    ...(proposed.reminders === undefined ? {} : { reminders: proposed.reminders }),
  };
}

/** The first entry that a change wrote: that of the work itself, before what followed from it. */
function writtenIn({ records }: Change): Entry | null {
  const written = records.find(({ section, after }) => section === "entries" && after !== null);
  return (written?.after ?? null) as Entry | null;
}

/** Saves the form: said to be saved only once it is durable, its draft dropped after that. */
function useSaveWork(
  { book, work, correcting, finishing }: LogStart,
  outlook: LogOutlook,
  draftKey: string,
): SaveWork {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const [saved, setSaved] = useState<SavedWork | null>(null);
  const { run, failure } = useCommands<LogWorkIssue | NotCorrectable | FinishJobIssue>((issue) =>
    logIssueWords(issue, outlook.before, today),
  );
  const write = async (values: LogForm): Promise<void> => {
    const { input } = inputFrom(values, gallonsOf({ book, work }));
    if (input === null || outlook.issues.length > 0) return;
    const command = commandOf(input, correcting?.id ?? null);
    const { id } = book.machines[0];
    await run(
      (_, around) =>
        finishing === undefined
          ? storage.perform(id, BOOK_NEEDS, command, around)
          : storage.perform(
              ...([id, FINISH_NEEDS] as const),
              (slice, context) =>
                finishJob(slice, finishing.job, finishInput(input, finishing), context),
              around,
            ),
      correcting === null ? "Saved in the log." : "Corrected.",
      async ({ isDoubtful = false, change, seq }) => {
        // Said first: whatever becomes of the draft, the work itself is in the log.
        const named = [...values.tasks, ...values.tests.map(({ task }) => task)];
        const entry = writtenIn(change);
        setSaved({ tasks: named, moves: outlook.moves, entry, seq, isDoubtful });
        await storage.dropDraft(draftKey);
      },
    );
  };
  return { saved, failure, write };
}

/** The state of the log form; every keystroke is kept as a draft until the work is saved. */
export function useLogForm(start: LogStart): LogFormState {
  const { book, settings, work, kept, correcting } = start;
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const fresh = useMemo(
    () => (correcting === null ? freshForm(start, today) : formOf(correcting, book)),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it was opened for is read once
    [book, settings, today, correcting],
  );
  const [begun] = useState<LogForm>(() => (kept === null ? fresh : joined(kept.form, start)));
  const fields = useForm<LogForm>({ defaultValues: begun });
  const form = useWatch({ control: fields.control }) as LogForm;
  const [isKept, setIsKept] = useState(kept !== null);
  const outlook = useMemo(
    () => logOutlook(book, form, { settings, today, correcting: correcting?.id ?? null, work }),
    [book, settings, form, today, correcting, work],
  );
  const draftKey = draftKeyOf(
    book.machines[0].id,
    correcting?.id ?? null,
    start.finishing?.job ?? null,
  );
  const { saved, failure, write } = useSaveWork(start, outlook, draftKey);
  const isUntouched = JSON.stringify(form) === JSON.stringify(fresh);

  const draft = useDraftKeeper(draftKey, form, saved === null && !isUntouched);

  const changeDate = (date: string): void => {
    const day = parseDay(date);
    fields.setValue("date", date);
    if (day === null) return;
    const reckoned = reckonedTexts(book, settings, day, today);
    fields.setValue("figures", withReckonedFigures(form.figures, reckoned));
  };
  const changeTasks = (tasks: readonly string[]): void => {
    fields.setValue("tasks", tasks);
    const next = planOf(book, tasks, work);
    fields.setValue("took", withoutDropped(form.took, outlook.plan, next));
  };
  const startAfresh = async (): Promise<void> => {
    await storage.dropDraft(draftKey);
    fields.reset(fresh);
    setIsKept(false);
  };
  const save = fields.handleSubmit((values) => write(values));
  const shown = { form, fields, outlook, isKept, draft, saved, failure };
  return { ...shown, changeTasks, changeDate, startAfresh, save };
}

/** Whose quarts and gallons are meant on the machine; null where nothing says so. */
export function gallonsOf({ book, work }: Pick<LogStart, "book" | "work">): Gallons | null {
  return book.machines[0].gallons ?? work.settings?.gallons ?? null;
}

function freshForm(
  { book, settings, asked, tested = [], closes, measures, finishing }: LogStart,
  today: DayNumber,
): LogForm {
  if (finishing !== undefined) return finishForm(finishing, book, settings, today);
  const known = new Set<string>(book.tasks.map((task) => task.id));
  return {
    date: formatDay(today),
    tasks: asked.filter((task) => known.has(task)),
    tests: tested.filter((task) => known.has(task)).map(newTest),
    papers: [],
    followUps: "",
    figures: withReckonedFigures([], reckonedTexts(book, settings, today, today)),
    note: "",
    took: { ...NOTHING_TOOK, closes, measures },
  };
}

/** What a job came to, as the form shows it. */
function finishForm(
  { proposed, day }: Finishing,
  book: MachineBook,
  settings: Settings,
  today: DayNumber,
): LogForm {
  return {
    ...{ date: formatDay(day), tasks: proposed.tasks, tests: [], papers: [], followUps: "" },
    figures: withReckonedFigures([], reckonedTexts(book, settings, day, today)),
    note: proposed.note,
    took: formTookOf(proposed.took),
  };
}

const joinedLists = (one: readonly string[], other: readonly string[]): string[] => [
  ...new Set([...one, ...other]),
];

/** A form begun earlier, with the tasks and findings it is now opened for ticked as well, and what was measured. */
function joined(form: LogForm, { asked, tested = [], closes, measures }: LogStart): LogForm {
  const alone = tested.filter((task) => !form.tasks.includes(task));
  const known = new Set(form.tests.map(({ task }) => task));
  const tests = [...form.tests, ...alone.filter((task) => !known.has(task)).map(newTest)];
  const wanted = asked.filter((task) => !tests.some((test) => test.task === task));
  const took = {
    ...form.took,
    closes: joinedLists(form.took.closes, closes),
    measures: joinedLists(form.took.measures, measures),
  };
  return { ...form, tasks: joinedLists(form.tasks, wanted), tests, took };
}
