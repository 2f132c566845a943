import {
  BOOK_NEEDS,
  formatDay,
  parseDay,
  type DayNumber,
  type Entry,
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
  reckonedTexts,
  withReckonedFigures,
  type LogForm,
  type LogOutlook,
} from "./logModel.js";
import { draftKeyOf, useDraftKeeper, type DraftState, type KeptForm } from "./useLogDraft.js";

/** What the form of a machine's work starts from. */
export interface LogStart {
  readonly book: MachineBook;
  readonly settings: Settings;
  /** The tasks it was opened for. */
  readonly asked: readonly string[];
  readonly kept: KeptForm | null;
  /** The entry that is being corrected; null for new work. */
  readonly correcting: Entry | null;
}

/** Work that has been saved: its tasks, and the dates it moved. */
interface SavedWork {
  readonly tasks: readonly string[];
  readonly moves: readonly Move[];
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
  readonly changeDate: (date: string) => void;
  readonly startAfresh: () => Promise<void>;
  readonly save: (event: FormEvent) => Promise<void>;
}

interface SaveWork {
  readonly saved: SavedWork | null;
  readonly failure: string;
  readonly write: (values: LogForm) => Promise<void>;
}

/** Saves the form: said to be saved only once it is durable, its draft dropped after that. */
function useSaveWork(
  { book, correcting }: LogStart,
  outlook: LogOutlook,
  draftKey: string,
): SaveWork {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const [saved, setSaved] = useState<SavedWork | null>(null);
  const { run, failure } = useCommands<LogWorkIssue | NotCorrectable>((issue) =>
    logIssueWords(issue, outlook.before, today),
  );
  const write = async (values: LogForm): Promise<void> => {
    const { input } = inputFrom(values);
    if (input === null || outlook.issues.length > 0) return;
    const command = commandOf(input, correcting?.id ?? null);
    await run(
      (_, around) => storage.perform(book.machines[0].id, BOOK_NEEDS, command, around),
      correcting === null ? "Saved in the log." : "Corrected.",
      async ({ isDoubtful = false }) => {
        // Said first: whatever becomes of the draft, the work itself is in the log.
        const named = [...values.tasks, ...values.tests.map(({ task }) => task)];
        setSaved({ tasks: named, moves: outlook.moves, isDoubtful });
        await storage.dropDraft(draftKey);
      },
    );
  };
  return { saved, failure, write };
}

/** The state of the log form; every keystroke is kept as a draft until the work is saved. */
export function useLogForm(start: LogStart): LogFormState {
  const { book, settings, asked, kept, correcting } = start;
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const fresh = useMemo(
    () =>
      correcting === null ? freshForm(book, settings, asked, today) : formOf(correcting, book),
    [book, settings, asked, today, correcting],
  );
  const [begun] = useState<LogForm>(() => (kept === null ? fresh : joined(kept.form, asked)));
  const fields = useForm<LogForm>({ defaultValues: begun });
  const form = useWatch({ control: fields.control }) as LogForm;
  const [isKept, setIsKept] = useState(kept !== null);
  const outlook = useMemo(
    () => logOutlook(book, settings, form, today, correcting?.id ?? null),
    [book, settings, form, today, correcting],
  );
  const draftKey = draftKeyOf(book.machines[0].id, correcting?.id ?? null);
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
  const startAfresh = async (): Promise<void> => {
    await storage.dropDraft(draftKey);
    fields.reset(fresh);
    setIsKept(false);
  };
  const save = fields.handleSubmit((values) => write(values));
  const shown = { form, fields, outlook, isKept, draft, saved, failure };
  return { ...shown, changeDate, startAfresh, save };
}

function freshForm(
  book: MachineBook,
  settings: Settings,
  asked: readonly string[],
  today: DayNumber,
): LogForm {
  const known = new Set<string>(book.tasks.map((task) => task.id));
  return {
    date: formatDay(today),
    tasks: asked.filter((task) => known.has(task)),
    tests: [],
    papers: [],
    followUps: "",
    figures: withReckonedFigures([], reckonedTexts(book, settings, today, today)),
    note: "",
  };
}

/** A form begun earlier, with the tasks it is now opened for ticked as well. */
function joined(form: LogForm, asked: readonly string[]): LogForm {
  const tested = new Set(form.tests.map(({ task }) => task));
  const wanted = asked.filter((task) => !tested.has(task));
  return { ...form, tasks: [...new Set([...form.tasks, ...wanted])] };
}
