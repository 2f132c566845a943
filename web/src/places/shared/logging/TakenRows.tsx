import { X } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import type { Measure } from "../../../session/reckonerCalls.js";
import { measureWords } from "../../../words/workWords.js";
import { fluidDoubtWords } from "../../../words/plannedWords.js";
import { CostFields, FluidFields, MinutesFields, PartFields } from "./TookFields.js";
import type { Shared } from "./tookProps.js";
import { costRowWords, fluidRowWords, minutesRowWords, partRowWords } from "./tookWords.js";

/** What was taken, a line each: fluids, parts, minutes, other costs. */
export function TakenRows(shared: Shared): ReactElement {
  return (
    <>
      <TakenFluids {...shared} />
      <TakenParts {...shared} />
      <TakenMinutes {...shared} />
      <TakenCosts {...shared} />
      <Measured {...shared} />
    </>
  );
}

/** One thing that was taken: a line, opened to be changed. */
function TakenRow({
  name,
  words,
  open,
  setOpen,
  onDrop,
  children,
}: Pick<Shared, "open" | "setOpen"> & {
  readonly name: string;
  readonly words: string;
  readonly onDrop: () => void;
  /** Its fields; absent where it is only taken out. */
  readonly children?: ReactNode;
}): ReactElement {
  const isOpen = open === name;
  return (
    <div role="group" aria-label={words} className="border-t border-hairline first:border-t-0">
      <div className="flex items-center gap-1">
        <span className="min-w-0 flex-1 font-medium">{words}</span>
        {children !== undefined && (
          <button
            type="button"
            aria-expanded={isOpen}
            aria-label={`Change: ${words}`}
            className="min-h-10 shrink-0 px-1 text-fine text-clear hover:underline max-sm:min-h-12"
            onClick={() => setOpen(isOpen ? "" : name)}
          >
            {isOpen ? "Close" : "Change"}
          </button>
        )}
        <button
          type="button"
          aria-label={`Leave out: ${words}`}
          className="grid size-10 shrink-0 place-items-center text-quiet hover:text-ink max-sm:size-12"
          onClick={onDrop}
        >
          <X size={18} aria-hidden="true" />
        </button>
      </div>
      {isOpen && <div className="pb-3">{children}</div>}
    </div>
  );
}

const without = <Row,>(rows: readonly Row[], index: number): Row[] =>
  rows.filter((_, at) => at !== index);
const replaced = <Row,>(rows: readonly Row[], index: number, row: Row): Row[] =>
  rows.map((one, at) => (at === index ? row : one));

function TakenFluids({
  took,
  source,
  doubts,
  gallons,
  currency,
  opened,
  open,
  setOpen,
  onTook,
}: Shared): ReactElement {
  return (
    <>
      {took.fluids.map((row, index) => {
        const fluid = source.plate.fluids.find(({ id }) => id === row.fluid);
        return (
          <div key={index}>
            <TakenRow
              name={`fluids.${index}`}
              words={fluidRowWords(row, source)}
              open={open}
              setOpen={setOpen}
              onDrop={() => onTook({ ...took, fluids: without(took.fluids, index) })}
            >
              <FluidFields
                row={row}
                isPriced={opened === `fluids.${index}`}
                source={source}
                currency={currency}
                gallons={gallons}
                onChange={(changed) =>
                  onTook({ ...took, fluids: replaced(took.fluids, index, changed) })
                }
              />
            </TakenRow>
            {fluid !== undefined &&
              (doubts[index] ?? []).map((doubt) => (
                <p key={doubt.code} className="pb-1.5 font-semibold text-due">
                  {fluidDoubtWords(doubt, fluid)}
                </p>
              ))}
          </div>
        );
      })}
    </>
  );
}

function TakenParts({
  took,
  source,
  currency,
  opened,
  open,
  setOpen,
  onTook,
}: Shared): ReactElement {
  return (
    <>
      {took.parts.map((row, index) => (
        <TakenRow
          key={index}
          name={`parts.${index}`}
          words={partRowWords(row, source)}
          open={open}
          setOpen={setOpen}
          onDrop={() => onTook({ ...took, parts: without(took.parts, index) })}
        >
          <PartFields
            row={row}
            isPriced={opened === `parts.${index}`}
            source={source}
            currency={currency}
            onChange={(changed) => onTook({ ...took, parts: replaced(took.parts, index, changed) })}
          />
        </TakenRow>
      ))}
    </>
  );
}

function TakenMinutes({
  took,
  source,
  currency,
  opened,
  open,
  setOpen,
  onTook,
}: Shared): ReactElement {
  return (
    <>
      {took.work.map((row, index) => (
        <TakenRow
          key={index}
          name={`work.${index}`}
          words={minutesRowWords(row, source)}
          open={open}
          setOpen={setOpen}
          onDrop={() => onTook({ ...took, work: without(took.work, index) })}
        >
          <MinutesFields
            row={row}
            isPriced={opened === `work.${index}`}
            source={source}
            currency={currency}
            onChange={(changed) => onTook({ ...took, work: replaced(took.work, index, changed) })}
          />
        </TakenRow>
      ))}
    </>
  );
}

function TakenCosts({ took, currency, opened, open, setOpen, onTook }: Shared): ReactElement {
  return (
    <>
      {took.costs.map((row, index) => (
        <TakenRow
          key={index}
          name={`costs.${index}`}
          words={costRowWords(row, currency)}
          open={open}
          setOpen={setOpen}
          onDrop={() => onTook({ ...took, costs: without(took.costs, index) })}
        >
          <CostFields
            row={row}
            isPriced={opened === `costs.${index}`}
            currency={currency}
            onChange={(changed) => onTook({ ...took, costs: replaced(took.costs, index, changed) })}
          />
        </TakenRow>
      ))}
    </>
  );
}

/** What was measured and is kept with the work. */
function Measured({ took, open, setOpen, onTook }: Shared): ReactElement {
  return (
    <>
      {took.measures.map((measure, index) => (
        <TakenRow
          key={measure}
          name={`measures.${index}`}
          words={measureWords(JSON.parse(measure) as Measure)}
          open={open}
          setOpen={setOpen}
          onDrop={() => onTook({ ...took, measures: without(took.measures, index) })}
        />
      ))}
    </>
  );
}
