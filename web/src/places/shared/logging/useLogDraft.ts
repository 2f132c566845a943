import { useEffect, useRef, useState } from "react";
import { z } from "zod";
import { useBook } from "../../../session/openBook.js";
import { errorWords } from "../../../words/errorWords.js";
import type { LogForm } from "./logModel.js";
import { NOTHING_TOOK } from "./tookModel.js";

const fromSchema = z.enum(["stock", "bought", "supplied"]);
const tookSchema = z.object({
  fluids: z.array(
    z.object({
      ...{ fluid: z.string(), condition: z.string(), product: z.string() },
      ...{ in: z.string(), out: z.string(), onMark: z.boolean() },
      ...{ price: z.string(), from: fromSchema, kept: z.string() },
    }),
  ),
  parts: z.array(
    z.object({
      ...{ part: z.string(), count: z.string(), price: z.string() },
      ...{ from: fromSchema, kept: z.string() },
    }),
  ),
  work: z.array(
    z.object({ person: z.string(), minutes: z.string(), rate: z.string(), kept: z.string() }),
  ),
  costs: z.array(
    z.object({ what: z.string(), amount: z.string(), kind: z.string(), kept: z.string() }),
  ),
  closes: z.array(z.string()),
  measures: z.array(z.string()).default([]),
  isTopUp: z.boolean(),
  warranty: z.boolean(),
});

const draftSchema = z.object({
  date: z.string(),
  tasks: z.array(z.string()),
  tests: z
    .array(z.object({ task: z.string(), amount: z.string(), unit: z.string(), found: z.string() }))
    .default([]),
  papers: z.array(z.object({ task: z.string(), date: z.string() })).default([]),
  followUps: z.enum(["", "done", "owed"]).default(""),
  figures: z.array(
    z.object({
      meter: z.string(),
      text: z.string(),
      isOwn: z.boolean(),
      choice: z.enum(["typing", "replaced", "rolled-over", "right"]).nullable(),
      answer: z.object({
        day: z.string(),
        oldFinal: z.string(),
        newStart: z.string(),
        lost: z.string(),
        rollsOverAt: z.string(),
      }),
    }),
  ),
  note: z.string(),
  took: tookSchema.default(() => NOTHING_TOOK as z.infer<typeof tookSchema>),
});

/** Under which key the form of a machine's work, of the correction of an entry, or of the finish of a job is kept. */
export function draftKeyOf(
  machine: string,
  correcting: string | null,
  finishing: string | null = null,
): string {
  if (finishing !== null) return `finish:${finishing}`;
  return correcting === null ? `log:${machine}` : `correct:${correcting}`;
}

/** A form that was begun earlier and not saved. */
export interface KeptForm {
  readonly form: LogForm;
  readonly at: string;
}

/** The form begun earlier for a machine: undefined until looked for, null where there is none. */
export function useKeptForm(key: string): KeptForm | null | undefined {
  const { storage } = useBook();
  const [found, setFound] = useState<{ readonly key: string; readonly kept: KeptForm | null }>();
  useEffect(() => {
    let isWanted = true;
    void storage.draft(key).then((draft) => {
      const read = draftSchema.safeParse(draft?.value);
      const kept = draft !== null && read.success ? { form: read.data, at: draft.at } : null;
      if (isWanted) setFound({ key, kept });
    });
    return () => {
      isWanted = false;
    };
  }, [storage, key]);
  // Of the machine before, where another has just been come to.
  return found?.key === key ? found.kept : undefined;
}

/** What has become of the form as a draft. */
export interface DraftState {
  readonly isKept: boolean;
  /** Why it could not be kept, in words; empty where it could. */
  readonly failure: string;
}

/**
 * Keeps the form as a draft at every change while `isWanted`; answers whether what stands in it is kept.
 * Of changes that come while one is being written only the newest is written after it.
 */
export function useDraftKeeper(key: string, form: LogForm, isWanted: boolean): DraftState {
  const { storage } = useBook();
  const newest = useRef(form);
  const isWriting = useRef(false);
  const [kept, setKept] = useState<LogForm | null>(null);
  const [failure, setFailure] = useState("");
  useEffect(() => {
    if (!isWanted) return;
    newest.current = form;
    if (isWriting.current) return;
    const write = async (): Promise<void> => {
      isWriting.current = true;
      try {
        for (let written: LogForm | null = null; written !== newest.current;) {
          written = newest.current;
          await storage.keepDraft({ key, value: written, at: new Date().toISOString() });
          setKept(written);
          setFailure("");
        }
      } finally {
        isWriting.current = false;
      }
    };
    write().catch((error: unknown) => setFailure(errorWords(error)));
  }, [storage, key, form, isWanted]);
  return { isKept: isWanted && kept === form, failure: isWanted ? failure : "" };
}
