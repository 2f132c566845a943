import { Plus, X } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { QUIET_BUTTON } from "../ui/buttons.js";
import { fieldsOf, type Field, type FieldsOf } from "../ui/field.js";
import { sentence } from "../words/format.js";

interface RowsFieldProps<Row> extends Field<readonly Row[]> {
  /** What tells rows apart; their place where absent. */
  readonly keyOf?: (row: Row) => string;
  /** What one row is called: `limit`, `fluid`. */
  readonly noun: string;
  /** The words that add a first row, where `Add a limit` does not say it. */
  readonly first?: string;
  readonly empty: () => Row;
  /** `set` changes several fields of the row at once. */
  readonly children: (
    row: Row,
    field: FieldsOf<Row>,
    set: (patch: Partial<Row>) => void,
  ) => ReactNode;
}

/** Rows of one kind, each with its fields; one can be added and each left out. */
export function RowsField<Row>({
  value: rows,
  onChange,
  problemAt = () => "",
  keyOf,
  noun,
  first = `Add a ${noun}`,
  empty,
  children,
}: RowsFieldProps<Row>): ReactElement {
  return (
    <div>
      {rows.map((row, index) => {
        const set = (patch: Partial<Row>): void =>
          onChange(rows.map((one) => (one === row ? { ...one, ...patch } : one)));
        return (
          <div
            key={keyOf?.(row) ?? index}
            role="group"
            aria-label={`${sentence(noun)} ${index + 1}`}
            className="flex items-start gap-3 border-t border-hairline py-2"
          >
            <div className="min-w-0 flex-1">
              {children(
                row,
                fieldsOf(row, set, (path) => problemAt(`${index}.${path}`)),
                set,
              )}
            </div>
            <button
              type="button"
              aria-label={`Leave out ${noun} ${index + 1}`}
              className="mt-4 grid size-10 shrink-0 place-items-center text-quiet hover:text-ink max-sm:size-12"
              onClick={() => onChange(rows.filter((one) => one !== row))}
            >
              <X size={18} aria-hidden="true" />
            </button>
          </div>
        );
      })}
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-1`}
        onClick={() => onChange([...rows, empty()])}
      >
        <Plus size={18} aria-hidden="true" />
        {rows.length === 0 ? first : `Another ${noun}`}
      </button>
    </div>
  );
}
