import { formatDay, type ShelfItem } from "@yonderfell/core";
import {
  useId,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
  type ReactElement,
} from "react";
import { useNavigate } from "react-router";
import { FormBody } from "../../../form/FormBody.js";
import { isEmpty } from "../../../form/typed.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { FIELD, PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { counted } from "../../../words/format.js";
import { typedNumber } from "../../../words/writing.js";
import { itemAmount } from "../stockWords.js";
import {
  COUNT_LABELS,
  countProblems,
  countProblemWords,
  countSheet,
  countsOf,
  pasted,
  type CountModel,
} from "./countModel.js";
import { useMoves } from "./useMoves.js";

/** A count sheet in hand. */
function useCountForm(
  items: readonly ShelfItem[],
  shelf: string,
): FormInHand<CountModel, readonly ShelfItem[]> {
  const today = useAppSelector((state) => state.session.today);
  return useForm({
    form: "countSheet",
    of: shelf === "" ? "all" : shelf,
    source: items,
    modelOf: (listed) => countSheet(listed, formatDay(today)),
    labels: COUNT_LABELS,
    problemsOf: countProblems,
    problemWords: countProblemWords,
    isForNext: true,
  });
}

const nothingWrong = (): string => "";

/** In how many rows something is typed. */
const typedIn = ({ rows }: CountModel): number =>
  rows.filter(({ typed }) => !isEmpty(typed)).length;

/** From a field to the next one, and from the last to the button, by Enter. */
function goNext(event: KeyboardEvent<HTMLInputElement>, button: HTMLButtonElement | null): void {
  if (event.key !== "Enter") return;
  event.preventDefault();
  const fields = [...(event.currentTarget.form?.querySelectorAll("input[data-count]") ?? [])];
  const after = fields[fields.indexOf(event.currentTarget) + 1];
  if (after instanceof HTMLElement) after.focus();
  else button?.focus();
}

/** The sheet of a shelf: a field an item, Enter goes to the next and from the last to the button. */
export function CountSheet({
  items,
  shelf,
}: {
  readonly items: readonly ShelfItem[];
  readonly shelf: string;
}): ReactElement {
  const navigate = useNavigate();
  const { count, failure } = useMoves();
  const [unknown, setUnknown] = useState<readonly string[]>([]);
  const foot = useRef<HTMLButtonElement>(null);
  const form = useCountForm(items, shelf);
  const { field, model, set } = form;
  const problemAt = field("rows").problemAt ?? nothingWrong;
  const typed = typedIn(model);
  const write = (at: number, text: string): void =>
    set({ rows: model.rows.map((row, place) => (place === at ? { ...row, typed: text } : row)) });
  const paste = (event: ClipboardEvent, at: number): void => {
    const found = pasted(event.clipboardData.getData("text"), model, at, items);
    if (found === null) return;
    event.preventDefault();
    set({ rows: found.rows });
    setUnknown(found.unknown);
  };
  return (
    <FormBody
      form={form}
      onSave={async (sheet) => {
        if (!(await count(countsOf(sheet, items, shelf)))) return false;
        await navigate("/stores");
        return true;
      }}
      failure={failure}
      className="max-w-xl space-y-3"
      foot={
        <button ref={foot} type="submit" className={PRIMARY_BUTTON}>
          Write down {counted(typed, "count")}
        </button>
      }
    >
      <DayField {...field("date")} />
      <NotOnSheet unknown={unknown} />
      <ul>
        {items.map((one, at) => (
          <CountLine
            key={model.rows[at]?.key ?? at}
            one={one}
            typed={model.rows[at]?.typed ?? ""}
            problem={problemAt(`${at}.typed`)}
            shelf={shelf}
            onType={(text) => write(at, text)}
            onPaste={(event) => paste(event, at)}
            onKey={(event) => goNext(event, foot.current)}
          />
        ))}
      </ul>
    </FormBody>
  );
}

function CountLine({
  one,
  typed,
  problem,
  shelf,
  onType,
  onPaste,
  onKey,
}: {
  readonly one: ShelfItem;
  readonly typed: string;
  readonly problem: string;
  readonly shelf: string;
  readonly onType: (text: string) => void;
  readonly onPaste: (event: ClipboardEvent) => void;
  readonly onKey: (event: KeyboardEvent<HTMLInputElement>) => void;
}): ReactElement {
  const { number, name, stock, shelves } = one;
  const id = useId();
  const figure = typedNumber(typed);
  const elsewhere = shelves.filter((other) => other !== shelf);
  return (
    <li className="grid grid-cols-[1fr_8rem] items-center gap-x-4 border-t border-hairline py-1.5 sm:grid-cols-[1fr_8rem_14rem]">
      <label htmlFor={id} className="leading-tight">
        {number !== "" && <span className="mr-1 font-mono font-bold">{number}</span>}{" "}
        <span className="font-medium">{name}</span>
        {shelf !== "" && elsewhere.length > 0 && (
          <span className="block text-fine text-soon-text">
            also on {elsewhere.join(", ")}: count all of it
          </span>
        )}
      </label>
      <div className="flex items-center gap-2">
        <input
          data-count
          id={id}
          className={`${FIELD} w-20 text-right font-mono text-field text-ink`}
          inputMode="decimal"
          autoComplete="off"
          value={typed}
          aria-invalid={problem !== "" || undefined}
          aria-describedby={`${id}-said`}
          onChange={(event) => onType(event.target.value)}
          onPaste={onPaste}
          onKeyDown={onKey}
        />
        <span className="text-quiet">{stock.unit === "piece" ? "" : stock.unit}</span>
      </div>
      <Said id={`${id}-said`} problem={problem} figure={figure} stock={stock} />
    </li>
  );
}

/** What the book says of an item, and how what was counted differs. */
function Said({
  id,
  problem,
  figure,
  stock,
}: {
  readonly id: string;
  readonly problem: string;
  readonly figure: number | null;
  readonly stock: ShelfItem["stock"];
}): ReactElement {
  const off = figure === null ? 0 : figure - stock.onHand;
  const isSame = Math.abs(off) < 1e-9;
  return (
    <span id={id} className="text-fine text-quiet tabular-nums max-sm:col-span-2">
      {problem === "" ? `by the book ${itemAmount(stock.onHand, stock.unit)}` : problem}
      {problem === "" && figure !== null && (
        <strong className={`block ${isSame ? "" : "text-due"}`}>
          {isSame
            ? "as the book says"
            : `${itemAmount(Math.abs(off), stock.unit)} ${off < 0 ? "fewer" : "more"} than the book says`}
        </strong>
      )}
    </span>
  );
}

/** What was pasted and is not on the sheet, and what to do with it. */
function NotOnSheet({ unknown }: { readonly unknown: readonly string[] }): ReactElement | null {
  if (unknown.length === 0) return null;
  return (
    <p role="alert" className="text-due">
      Pasted, but not on this sheet: {unknown.join(", ")}. Write them down as parts or fluids first,
      or count another shelf.
    </p>
  );
}
