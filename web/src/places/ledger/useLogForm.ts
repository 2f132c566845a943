import {
  formatDay,
  logWork,
  parseDay,
  type DayNumber,
  type MachineBook,
  type Settings,
} from "@yonderfell/core";
import { useMemo, useState, type FormEvent } from "react";
import { useForm, useWatch, type UseFormReturn } from "react-hook-form";
import { toast } from "sonner";
import { surroundings, useBook } from "../../app/openBook.js";
import { useAppSelector } from "../../app/store.js";
import { errorWords } from "../../words/errorWords.js";
import { logIssueWords } from "../../words/logWords.js";
import type { Move } from "../../words/moves.js";
import {
  inputFrom,
  logOutlook,
  reckonedTexts,
  withReckonedFigures,
  type LogForm,
  type LogOutlook,
} from "./logModel.js";
import { useDraftKeeper, type KeptForm } from "./useLogDraft.js";

/** What the form of a machine's work starts from. */
export interface LogStart {
  readonly book: MachineBook;
  readonly settings: Settings;
  /** The tasks it was opened for. */
  readonly asked: readonly string[];
  readonly kept: KeptForm | null;
}

/** Work that has been saved: its tasks, and the dates it moved. */
export interface SavedWork {
  readonly tasks: readonly string[];
  readonly moves: readonly Move[];
}

/** The form in hand. */
export interface LogFormState {
  readonly form: LogForm;
  readonly fields: UseFormReturn<LogForm>;
  readonly outlook: LogOutlook;
  /** Whether it was begun earlier and is gone on with. */
  readonly isKept: boolean;
  /** Whether what stands in the form now would survive a closed lid. */
  readonly isDraftKept: boolean;
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
function useSaveWork(book: MachineBook, outlook: LogOutlook, draftKey: string): SaveWork {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const [saved, setSaved] = useState<SavedWork | null>(null);
  const [failure, setFailure] = useState("");
  const store = async (values: LogForm): Promise<void> => {
    const { input } = inputFrom(values);
    if (input === null || outlook.issues.length > 0) return;
    const result = await storage.perform(
      book.machines[0].id,
      (current, context) => logWork(current, input, context),
      surroundings(),
    );
    const [issue] = result.ok ? [] : result.issues;
    if (issue !== undefined) return setFailure(logIssueWords(issue, outlook.before, today));
    await storage.dropDraft(draftKey);
    setSaved({ tasks: values.tasks, moves: outlook.moves });
    toast.success("Saved in the log.");
  };
  const write = (values: LogForm): Promise<void> =>
    store(values).catch((error: unknown) =>
      setFailure(`It was not saved: ${errorWords(error)}. What you wrote is still here.`),
    );
  return { saved, failure, write };
}

/** The state of the log form; every keystroke is kept as a draft until the work is saved. */
export function useLogForm({ book, settings, asked, kept }: LogStart): LogFormState {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const fresh = useMemo(
    () => freshForm(book, settings, asked, today),
    [book, settings, asked, today],
  );
  const [start] = useState<LogForm>(() => (kept === null ? fresh : joined(kept.form, asked)));
  const fields = useForm<LogForm>({ defaultValues: start });
  const form = useWatch({ control: fields.control }) as LogForm;
  const [isKept, setIsKept] = useState(kept !== null);
  const outlook = useMemo(
    () => logOutlook(book, settings, form, today),
    [book, settings, form, today],
  );
  const draftKey = `log:${book.machines[0].id}`;
  const { saved, failure, write } = useSaveWork(book, outlook, draftKey);
  const isUntouched = JSON.stringify(form) === JSON.stringify(fresh);

  const isDraftKept = useDraftKeeper(draftKey, form, saved === null && !isUntouched);

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
  const shown = { form, fields, outlook, isKept, isDraftKept, saved, failure };
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
    figures: withReckonedFigures([], reckonedTexts(book, settings, today, today)),
    note: "",
    figuresAreRight: false,
  };
}

/** A form begun earlier, with the tasks it is now opened for ticked as well. */
function joined(form: LogForm, asked: readonly string[]): LogForm {
  return { ...form, tasks: [...new Set([...form.tasks, ...asked])] };
}
