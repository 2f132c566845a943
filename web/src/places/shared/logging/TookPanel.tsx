import type { PlannedWork } from "@yonderfell/core";
import { ListChecks, Plus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { findingOpened } from "../../../session/session.js";
import { useAppDispatch } from "../../../session/store.js";
import { useFocusNext } from "../../../ui/useFocusNext.js";
import { CheckField } from "../../../ui/fields.js";
import { findingTitle } from "../../../words/findingWords.js";
import { useCurrency } from "../currency/useCurrency.js";
import { TakenRows } from "./TakenRows.js";
import {
  emptyFluidRow,
  minutesRow,
  notYetTaken,
  plannedFluidRow,
  plannedPartRow,
  reparted,
  takenAsPlanned,
  type FormTook,
} from "./tookModel.js";
import type { Shared, TookProps } from "./tookProps.js";
import { plannedFluidWords, plannedPartWords, plannedPriceWords } from "./tookWords.js";

/** What the work took: what the tasks are known to take, untouched until it is taken, and what was taken. */
export function TookPanel(props: TookProps): ReactElement {
  const { took, onTook } = props;
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(props.opened);
  const currency = useCurrency();
  // The button that takes all is gone once it is pressed.
  const { ref, focusNext } = useFocusNext<HTMLHeadingElement>();
  const rest = notYetTaken(props.plan, took);
  const shared = { ...props, currency, open, setOpen };
  return (
    <section aria-labelledby="took" className="border-t border-hairline pt-3">
      <h2 ref={ref} id="took" tabIndex={-1} className="font-bold outline-none">
        What it took
      </h2>
      <Planned rest={rest} onTaken={focusNext} {...shared} />
      <TakenRows {...shared} />
      <Adding {...shared} />
      <Closing {...props} />
      <button
        type="button"
        className="min-h-10 text-clear hover:underline max-sm:min-h-12"
        onClick={() => dispatch(findingOpened(props.source.book.machines[0].id))}
      >
        Note a finding on this machine
      </button>
      <CheckField
        label="Paid under warranty"
        value={took.warranty}
        onChange={(warranty) => onTook({ ...took, warranty })}
      />
    </section>
  );
}

/** What the ticked tasks are known to take and no row stands for yet. */
function Planned({
  rest,
  took,
  plan,
  currency,
  onTook,
  setOpen,
  onTaken,
}: Shared & {
  readonly rest: PlannedWork;
  readonly onTaken: () => void;
}): ReactElement | null {
  if (rest.fluids.length + rest.parts.length === 0) return null;
  return (
    <div className="mt-1 border-l-2 border-dashed border-rule pl-3">
      <ul className="text-quiet">
        {rest.fluids.map((planned) => (
          <PlannedLine
            key={planned.fluid.id}
            words={plannedFluidWords(planned)}
            price={plannedPriceWords(planned, currency)}
            onChange={() => {
              onTook({ ...took, fluids: [...took.fluids, plannedFluidRow(planned)] });
              setOpen(`fluids.${took.fluids.length}`);
            }}
          />
        ))}
        {rest.parts.map((planned) => (
          <PlannedLine
            key={planned.part.id}
            words={plannedPartWords(planned)}
            price={plannedPriceWords(planned, currency)}
            onChange={() => {
              onTook({ ...took, parts: [...took.parts, plannedPartRow(planned)] });
              setOpen(`parts.${took.parts.length}`);
            }}
          />
        ))}
      </ul>
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-1.5`}
        onClick={() => {
          onTook(takenAsPlanned(plan, took));
          onTaken();
        }}
      >
        <ListChecks size={18} aria-hidden="true" />
        As planned
      </button>
    </div>
  );
}

function PlannedLine({
  words,
  price,
  onChange,
}: {
  readonly words: string;
  readonly price: string;
  readonly onChange: () => void;
}): ReactElement {
  return (
    <li className="flex items-baseline justify-between gap-3 py-1">
      <span>
        {words} <span className="text-fine">· {price}</span>
      </span>
      <button
        type="button"
        aria-label={`Change: ${words}`}
        className="min-h-10 shrink-0 text-fine text-clear hover:underline max-sm:min-h-12"
        onClick={onChange}
      >
        Change
      </button>
    </li>
  );
}

/** What else may be written down: a fluid, a part, minutes, another cost. */
function Adding({ took, plan, source, setOpen, onTook }: Shared): ReactElement {
  const { plate, parts, people } = source;
  const here = people.filter(({ hasLeft }) => hasLeft !== true);
  const add = (row: string, changed: Partial<FormTook>): void => {
    onTook({ ...took, ...changed });
    setOpen(row);
  };
  const minutes = (): void => {
    const next = here.find(({ id }) => took.work.every(({ person }) => person !== id));
    const left = took.work.length === 0 ? plan.minutes : null;
    add(`work.${took.work.length}`, { work: [...took.work, minutesRow(next, left)] });
  };
  const part = (): void => {
    const row = { part: "", count: "1", price: "", from: "bought", kept: "" } as const;
    add(`parts.${took.parts.length}`, { parts: [...took.parts, reparted(row, source)] });
  };
  const cost = (): void => {
    const row = { what: "", amount: "", kind: "", kept: "" };
    add(`costs.${took.costs.length}`, { costs: [...took.costs, row] });
  };
  const fluid = (): void => {
    const row = emptyFluidRow(plate.fluids[0]);
    add(`fluids.${took.fluids.length}`, { fluids: [...took.fluids, row] });
  };
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <AddButton words="Minutes" onAdd={minutes} />
      {plate.fluids.length > 0 && <AddButton words="Fluid" onAdd={fluid} />}
      {parts.length > 0 && <AddButton words="Part" onAdd={part} />}
      <AddButton words="Other cost" onAdd={cost} />
    </div>
  );
}

function AddButton({
  words,
  onAdd,
}: {
  readonly words: string;
  readonly onAdd: () => void;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={`Add: ${words.toLowerCase()}`}
      className={QUIET_BUTTON}
      onClick={onAdd}
    >
      <Plus size={16} aria-hidden="true" />
      {words}
    </button>
  );
}

/** The open findings of the machine, to be closed by the work. */
function Closing({ took, findings, onTook }: TookProps): ReactElement | null {
  if (findings.length === 0) return null;
  const toggle = (id: string, isClosed: boolean): void =>
    onTook({
      ...took,
      closes: isClosed ? [...took.closes, id] : took.closes.filter((one) => one !== id),
    });
  return (
    <fieldset className="mt-3">
      <legend className="text-fine text-quiet">It puts right</legend>
      {findings.map(({ finding }) => (
        <CheckField
          key={finding.id}
          label={findingTitle(finding)}
          value={took.closes.includes(finding.id)}
          onChange={(isClosed) => toggle(finding.id, isClosed)}
        />
      ))}
    </fieldset>
  );
}
