import type { CsvFormat, CsvKind } from "@yonderfell/core";
import type { ReactElement } from "react";
import { SelectField } from "../../ui/fields.js";
import { FIELD, QUIET_BUTTON } from "../../ui/buttons.js";
import { counted } from "../../words/format.js";
import {
  columnChoices,
  DATE_CHOICES,
  DECIMAL_CHOICES,
  DISTANCE_CHOICES,
  KIND_CHOICES,
} from "../../words/tableWords.js";
import type { OpenTable } from "./useTable.js";

interface TakenForProps {
  readonly table: OpenTable;
  readonly onKind: (kind: CsvKind) => void;
  readonly onColumn: (index: number, key: string | null) => void;
  readonly onFormat: (patch: Partial<CsvFormat>) => void;
  readonly onGuess: () => void;
}

/** What a table is taken for: its kind, how it writes, and what its columns hold. */
export function TakenFor({
  table,
  onKind,
  onColumn,
  onFormat,
  onGuess,
}: TakenForProps): ReactElement {
  const { reading, opened, isSure } = table;
  return (
    <section aria-labelledby="taken-for">
      <h2 id="taken-for" className="text-large font-bold">
        Taken for
      </h2>
      {table.isRemembered && <AsBefore onGuess={onGuess} />}
      <HowItWrites table={table} onKind={onKind} onFormat={onFormat} />
      <NotSure isSure={isSure} />
      <h3 className="mt-5 font-bold">Columns</h3>
      <LeftOut table={table} />
      <ul>
        {opened.headings.map((heading, index) => (
          <Column
            key={index}
            heading={heading.trim() === "" ? `Column ${index + 1}` : heading}
            samples={opened.samples[index] ?? []}
            kind={reading.kind}
            value={reading.columns[index] ?? null}
            onChange={(key) => onColumn(index, key)}
          />
        ))}
      </ul>
    </section>
  );
}

/** The kind of table, and how it writes dates, figures and distances. */
function HowItWrites({
  table: { reading, opened },
  onKind,
  onFormat,
}: Pick<TakenForProps, "table" | "onKind" | "onFormat">): ReactElement {
  const { format } = reading;
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-5 gap-y-3">
      <div className="col-span-2">
        <SelectField
          label={`${counted(opened.rows, "row")} of`}
          value={reading.kind}
          choices={KIND_CHOICES}
          onChange={onKind}
        />
      </div>
      <SelectField
        label="Dates"
        value={format.dates}
        choices={DATE_CHOICES}
        onChange={(dates) => onFormat({ dates })}
      />
      <SelectField
        label="Figures"
        value={format.decimal}
        choices={DECIMAL_CHOICES}
        onChange={(decimal) => onFormat({ decimal })}
      />
      <div className="col-span-2">
        <SelectField
          label="Distances without a unit"
          value={format.distance ?? ""}
          choices={DISTANCE_CHOICES}
          onChange={(distance) => onFormat({ distance: distance === "" ? null : distance })}
        />
      </div>
    </div>
  );
}

/** A word where a table of these headings was brought in before, and the way not to go by that. */
function AsBefore({ onGuess }: Pick<TakenForProps, "onGuess">): ReactElement {
  return (
    <p className="mt-1 flex flex-wrap items-center gap-x-4">
      As the last table with these headings was.
      <button type="button" className={QUIET_BUTTON} onClick={onGuess}>
        Take it by its headings instead
      </button>
    </p>
  );
}

/** A word where the file could be read in two ways. */
function NotSure({ isSure }: Pick<OpenTable, "isSure">): ReactElement | null {
  if (isSure.dates && isSure.decimal) return null;
  return (
    <p role="alert" className="mt-3 border-l-4 border-due bg-raised px-3 py-2 font-semibold">
      {!isSure.dates && "Its dates could be read in another order. "}
      {!isSure.decimal && "Its figures could be read with the other decimal sign. "}
      Check that the choice above is right.
    </p>
  );
}

/** Which columns are not brought in: nothing of a file goes missing unsaid. */
function LeftOut({
  table: { opened, reading },
}: Pick<TakenForProps, "table">): ReactElement | null {
  const out = opened.headings.filter(
    (_, index) => (reading.columns[index] ?? null) === null && opened.samples[index]?.length !== 0,
  );
  if (out.length === 0) return null;
  return (
    <p className="text-fine text-due">
      {counted(out.length, "column")} left out: {out.join(", ")}
    </p>
  );
}

/** A column of the file: its heading, what stands in it, and what it is taken for. */
function Column({
  heading,
  samples,
  kind,
  value,
  onChange,
}: {
  readonly heading: string;
  readonly samples: readonly string[];
  readonly kind: CsvKind;
  readonly value: string | null;
  readonly onChange: (key: string | null) => void;
}): ReactElement {
  return (
    <li className="border-t border-hairline py-1">
      <label className="grid grid-cols-2 items-center gap-x-4">
        <span className="min-w-0">
          <span className="block truncate font-semibold">{heading}</span>
          <span className="block truncate text-fine text-quiet">
            {samples.length === 0 ? "empty" : samples.join(" · ")}
          </span>
        </span>
        <select
          className={`${FIELD} text-field ${value === null ? "text-quiet" : "text-ink"}`}
          value={value ?? ""}
          onChange={(event) => onChange(event.target.value === "" ? null : event.target.value)}
        >
          {columnChoices(kind).map(([choice, words]) => (
            <option key={choice} value={choice}>
              {words}
            </option>
          ))}
        </select>
      </label>
    </li>
  );
}
