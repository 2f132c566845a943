import type { CsvDoubt } from "@yonderfell/core";
import type { ReactElement } from "react";
import { CheckField } from "../../ui/fields.js";
import { counted } from "../../words/format.js";
import { doubtGroupWords, tableDoubtWords } from "../../words/tableWords.js";
import type { DoubtGroup, TableChoices, TablePlan } from "../../work/tables.js";
import { RowCells } from "./ShownItems.js";

interface DoubtGroupsProps {
  readonly plan: TablePlan;
  readonly choices: TableChoices;
  readonly onCode: (code: CsvDoubt["code"], isTaken: boolean) => void;
  readonly onRow: (row: number, isTaken: boolean) => void;
}

/** What is in doubt, by its reason: each explained, to be taken in or left out together or row by row. */
export function DoubtGroups({ plan, choices, onCode, onRow }: DoubtGroupsProps): ReactElement {
  return (
    <>
      {plan.groups.map((group) => (
        <Group key={group.code} group={group} choices={choices} onCode={onCode} onRow={onRow} />
      ))}
    </>
  );
}

function Group({
  group,
  choices,
  onCode,
  onRow,
}: Omit<DoubtGroupsProps, "plan"> & { readonly group: DoubtGroup }): ReactElement {
  const { code, count, items } = group;
  const [what, then] = doubtGroupWords(code, count);
  const isTaken = choices.codes.includes(code);
  const rest = count - items.length;
  return (
    <section
      aria-labelledby={`doubt-${code}`}
      className="border-l-4 border-due bg-raised px-4 py-3"
      data-doubt={code}
    >
      <h3 id={`doubt-${code}`} className="font-bold">
        {what}
      </h3>
      <CheckField
        label={
          <span>
            Take {count === 1 ? "it" : "them"} in. <span className="text-quiet">{then}</span>
          </span>
        }
        value={isTaken}
        onChange={(value) => onCode(code, value)}
      />
      <ul className="max-h-80 overflow-y-auto" tabIndex={0} aria-label={what}>
        {items.map((item) => (
          <li key={item.row} className="border-t border-hairline py-1">
            <label className="flex items-start gap-2.5">
              <input
                type="checkbox"
                className="mt-0.5 size-5 shrink-0 accent-(--clear)"
                checked={choices.rows.get(item.row) ?? isTaken}
                onChange={(event) => onRow(item.row, event.target.checked)}
              />
              <span className="min-w-0 flex-1">
                <RowCells item={item} />
                <span className="block break-words">
                  {item.doubts.map(tableDoubtWords).join(" ")}
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {rest > 0 && (
        <p className="mt-1 text-quiet">
          and {counted(rest, "more", "more")}, for which the choice above holds
        </p>
      )}
    </section>
  );
}
