import { useId, type ReactElement, type ReactNode } from "react";
import { FIELD } from "./buttons.js";

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Words that are offered while typing. */
  readonly offered?: readonly string[];
  readonly note?: string;
  readonly isMono?: boolean;
  /** It must not be left empty; said beside its name. */
  readonly isRequired?: boolean;
  /** What is wrong with what stands in it, empty where nothing is. */
  readonly problem?: string;
  readonly autoFocus?: boolean;
}

/** A line of text with its name over it. */
export function TextField(props: TextFieldProps): ReactElement {
  const { label, value, onChange, offered, note, isMono = false, problem = "" } = props;
  const own = useId();
  const list = offered === undefined ? undefined : own;
  const hasMore = note !== undefined || problem !== "";
  const described = hasMore ? `${own}-note` : undefined;
  const field = (
    <label className="block text-fine text-quiet">
      {label}
      {props.isRequired === true && <span aria-hidden="true"> · needed</span>}
      <input
        className={`${FIELD} text-field text-ink ${isMono ? "font-mono" : ""}`}
        autoComplete="off"
        aria-invalid={problem !== "" || undefined}
        value={value}
        required={props.isRequired}
        autoFocus={props.autoFocus}
        list={list}
        aria-describedby={described}
        onChange={(event) => onChange(event.target.value)}
      />
      {list !== undefined && (
        <datalist id={list}>
          {(offered ?? []).map((words) => (
            <option key={words} value={words} />
          ))}
        </datalist>
      )}
    </label>
  );
  // The same frame with words under it and without: the field keeps the focus as they come and go.
  return (
    <div className="text-fine text-quiet">
      {field}
      {hasMore && (
        <span id={described}>
          {problem !== "" && <span className="block font-semibold text-due">{problem}</span>}
          {note}
        </span>
      )}
    </div>
  );
}

/** What is wrong with a field, under it; nothing where nothing is. */
export function FieldProblem({
  id,
  words,
}: {
  readonly id: string;
  readonly words: string;
}): ReactElement | null {
  if (words === "") return null;
  return (
    <span id={id} className="block text-fine font-semibold text-due">
      {words}
    </span>
  );
}

/** Several lines of text. */
export function NoteField({
  label,
  value,
  rows = 2,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly rows?: number;
  readonly onChange: (value: string) => void;
}): ReactElement {
  return (
    <label className="block text-fine text-quiet">
      {label}
      <textarea
        rows={rows}
        className={`${FIELD} text-field text-ink`}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

/** One of several words. */
export function SelectField<Value extends string>({
  label,
  value,
  choices,
  problem = "",
  onChange,
}: {
  readonly label: string;
  readonly value: Value;
  /** Value and words of each choice. */
  readonly choices: readonly (readonly [Value, string])[];
  /** What is wrong with what is chosen, empty where nothing is. */
  readonly problem?: string;
  readonly onChange: (value: Value) => void;
}): ReactElement {
  const own = useId();
  return (
    <div>
      <label className="block text-fine text-quiet">
        {label}
        <select
          className={`${FIELD} text-field text-ink`}
          aria-invalid={problem !== "" || undefined}
          aria-describedby={problem === "" ? undefined : own}
          value={value}
          onChange={(event) => onChange(event.target.value as Value)}
        >
          {choices.map(([choice, words]) => (
            <option key={choice} value={choice}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <FieldProblem id={own} words={problem} />
    </div>
  );
}

/** Something that is so or not. */
export function CheckField({
  label,
  value,
  onChange,
}: {
  readonly label: ReactNode;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}): ReactElement {
  return (
    <label className="flex min-h-10 items-center gap-2.5 max-sm:min-h-12">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-(--clear)"
        checked={value}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}

/** The choices of a list of words, each standing for itself. */
export function choicesOfWords<Value extends string>(
  words: readonly Value[],
): readonly (readonly [Value, string])[] {
  return words.map((word) => [word, word] as const);
}

/** The same after one for none of them. */
export function choicesOrNone<Value extends string>(
  words: readonly Value[],
  none: string,
): readonly (readonly [Value | "", string])[] {
  return [["", none], ...choicesOfWords(words)];
}
