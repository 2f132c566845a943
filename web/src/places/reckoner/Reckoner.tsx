import { ArrowLeft } from "lucide-react";
import { useEffect, useState, type ReactElement } from "react";
import { useReckonerCalls } from "../../session/reckonerCalls.js";
import { overlayClosed } from "../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { FIELD } from "../../ui/buttons.js";
import { DialogFrame } from "../../ui/DialogFrame.js";
import type { Typed } from "../shared/sums/readFields.js";
import { SUBJECTS, type SumForm } from "../shared/sums/sumForm.js";
import { formsFor, SUM_FORMS } from "../shared/sums/sumForms.js";
import { SumPage } from "./SumPage.js";
import { useKnownMachine } from "./useKnownMachine.js";

/** What was asked last in this tab, and what was typed: it is found again when the Reckoner is laid aside. */
interface Memory {
  readonly sum: string;
  /** By machine and sum. */
  readonly typed: Readonly<Record<string, Typed>>;
}
let memory: Memory = { sum: "", typed: {} };

/** The calculators, laid over the place one is at. */
export default function Reckoner(): ReactElement {
  const dispatch = useAppDispatch();
  const { call, answered } = useReckonerCalls();
  const known = useKnownMachine();
  const [words, setWords] = useState(useAppSelector((state) => state.session.typedAhead));
  const [kept, setKept] = useState<Memory>({
    ...memory,
    ...(call === null ? {} : { sum: call.sum }),
  });
  useEffect(() => {
    memory = kept;
  }, [kept]);
  const close = (): void => {
    answered();
    dispatch(overlayClosed());
  };
  const form = SUM_FORMS.find(({ sum }) => sum === kept.sum);
  const key = `${known?.machine.machine.id ?? ""} ${kept.sum}`;
  const choose = (sum: string): void => setKept({ ...kept, sum });
  return (
    <DialogFrame title="Reckoner" onClose={close} isSheet>
      <div className="grid gap-x-8 sm:grid-cols-[15rem_minmax(0,1fr)]">
        <SumList {...{ words, setWords, form, choose }} />
        {form !== undefined && known !== undefined && (
          <div className="pt-2 pb-6">
            <button
              type="button"
              className="mb-2 flex min-h-12 items-center gap-1.5 text-clear sm:hidden"
              onClick={() => choose("")}
            >
              <ArrowLeft size={18} aria-hidden="true" />
              All sums
            </button>
            <SumPage
              key={key}
              form={form}
              known={known}
              typed={kept.typed[key] ?? {}}
              onType={(field, value) =>
                setKept((before) => ({
                  ...before,
                  typed: { ...before.typed, [key]: { ...before.typed[key], [field]: value } },
                }))
              }
              onClose={close}
            />
          </div>
        )}
        {form === undefined && (
          <p className="pt-4 text-quiet max-sm:hidden">
            Choose what is asked. Where the Reckoner is opened on a machine, what is known of it is
            filled in.
          </p>
        )}
      </div>
    </DialogFrame>
  );
}

/** What can be asked, by subject, and found by a word. On a narrow screen it goes once something is chosen. */
function SumList({
  words,
  setWords,
  form,
  choose,
}: {
  readonly words: string;
  readonly setWords: (words: string) => void;
  readonly form: SumForm | undefined;
  readonly choose: (sum: string) => void;
}): ReactElement {
  const fitting = formsFor(words);
  const [first] = fitting;
  return (
    <nav aria-label="Sums" className={`pb-4 ${form === undefined ? "" : "max-sm:hidden"}`}>
      <label className="block text-fine text-quiet">
        Find a sum
        <input
          autoFocus={form === undefined}
          className={`${FIELD} text-field text-ink`}
          autoComplete="off"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter" && first !== undefined) choose(first.sum);
          }}
        />
      </label>
      {SUBJECTS.map((subject) => {
        const own = fitting.filter((one) => one.subject === subject);
        if (own.length === 0) return null;
        return (
          <section key={subject} aria-label={subject} className="mt-3">
            <h3 className="text-fine font-semibold text-quiet">{subject}</h3>
            <ul>
              {own.map(({ sum, question }) => (
                <li key={sum}>
                  <button
                    type="button"
                    aria-current={sum === form?.sum ? "true" : undefined}
                    className={`w-full py-1 text-left leading-snug hover:underline max-sm:min-h-12 ${sum === form?.sum ? "border-l-4 border-clear pl-2 font-semibold" : ""}`}
                    onClick={() => choose(sum)}
                  >
                    {question}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {first === undefined && <p className="py-3 text-quiet">No sum is called that.</p>}
    </nav>
  );
}
