import { Plus, X } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { QUIET_BUTTON } from "./buttons.js";
import { fieldsOf, type FormModel } from "./useModel.js";

interface RowsFieldProps<Row> {
  readonly rows: readonly Row[];
  readonly keyOf: (row: Row) => string;
  /** What one row is called: `limit`, `fluid`. */
  readonly noun: string;
  readonly empty: () => Row;
  readonly onChange: (rows: readonly Row[]) => void;
  readonly children: (row: Row, field: FormModel<Row>["field"]) => ReactNode;
}

/** Rows of one kind, each with its fields, one can be added and each left out. */
export function RowsField<Row>({
  rows,
  keyOf,
  noun,
  empty,
  onChange,
  children,
}: RowsFieldProps<Row>): ReactElement {
  return (
    <div>
      {rows.map((row, index) => (
        <div
          key={keyOf(row)}
          role="group"
          aria-label={`${noun.charAt(0).toUpperCase()}${noun.slice(1)} ${index + 1}`}
          className="flex items-start gap-3 border-t border-hairline py-2"
        >
          <div className="min-w-0 flex-1">
            {children(
              row,
              fieldsOf(row, (patch) =>
                onChange(rows.map((one) => (one === row ? { ...one, ...patch } : one))),
              ),
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
      ))}
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-1`}
        onClick={() => onChange([...rows, empty()])}
      >
        <Plus size={18} aria-hidden="true" />
        {rows.length === 0 ? `Add a ${noun}` : `Another ${noun}`}
      </button>
    </div>
  );
}
