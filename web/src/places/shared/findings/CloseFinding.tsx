import { formatDay, type Finding, type Person } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { isEmpty } from "../../../form/typed.js";
import { useForm } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { TextField } from "../../../ui/fields.js";
import { closedWords } from "../../../words/findingWords.js";

interface CloseModel {
  readonly by: string;
  readonly how: string;
}

interface CloseProblem {
  readonly field: keyof CloseModel;
  readonly code: "by-missing" | "how-missing";
}

const LABELS = { by: "Who says so", how: "How it is known to be right" };

const problemsOf = ({ by, how }: CloseModel): CloseProblem[] => [
  ...(isEmpty(by) ? [{ field: "by" as const, code: "by-missing" as const }] : []),
  ...(isEmpty(how) ? [{ field: "how" as const, code: "how-missing" as const }] : []),
];

function problemWords({ code }: CloseProblem): string {
  switch (code) {
    case "by-missing":
      return "Say who closes it.";
    case "how-missing":
      return "Say how it is known to be right.";
  }
}

interface CloseProps {
  readonly finding: Finding;
  readonly people: readonly Person[];
  readonly onSave: (after: Finding) => Promise<boolean>;
}

/** Closes a finding without work, by a person who says how it is known; or opens it again. Work closes it from the log. */
export function CloseFinding(props: CloseProps): ReactElement {
  const { finding, people, onSave } = props;
  const [isAsking, setIsAsking] = useState(false);
  const { closed } = finding;
  if (closed) {
    return (
      <div className="flex flex-wrap items-center gap-3 border-t border-hairline py-3">
        <span>{closedWords(closed, people)}</span>
        <button
          type="button"
          className={QUIET_BUTTON}
          onClick={() => void onSave({ ...finding, closed: null })}
        >
          Open it again
        </button>
      </div>
    );
  }
  return (
    <div className="border-t border-hairline py-3">
      {isAsking ? (
        <CloseForm {...props} />
      ) : (
        <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(true)}>
          Close it without work
        </button>
      )}
    </div>
  );
}

/** Who closes a finding, and how it is known to be right. */
export function CloseForm({ finding, people, onSave }: CloseProps): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const form = useForm({
    form: "closeFinding",
    of: finding.id,
    source: null,
    modelOf: (): CloseModel => ({ by: "", how: "" }),
    labels: LABELS,
    problemsOf,
    problemWords,
  });
  const names = people.filter(({ hasLeft }) => hasLeft !== true).map(({ name }) => name);
  const close = ({ by, how }: CloseModel): Promise<boolean> => {
    const who = people.find(({ name }) => name === by.trim())?.id ?? by.trim();
    return onSave({ ...finding, closed: { on: formatDay(today), by: who, how: how.trim() } });
  };
  return (
    <FormBody
      form={form}
      onSave={close}
      failure=""
      className="grid items-end gap-3 sm:grid-cols-[1fr_2fr_auto]"
      foot={
        <button type="submit" className={QUIET_BUTTON}>
          Close it
        </button>
      }
    >
      <TextField autoFocus {...form.field("by")} offered={names} />
      <TextField {...form.field("how")} />
    </FormBody>
  );
}
