import type { ReactElement } from "react";
import { listOfWords } from "../../words/format.js";
import { alongWords, differencesWords } from "../../words/tableWords.js";
import type { ShownItem } from "@yonderfell/core";

/** Rows of the table as they stand, with what would be changed. */
export function ShownItems({
  title,
  items,
  most = 30,
}: {
  readonly title: string;
  readonly items: readonly ShownItem[];
  readonly most?: number;
}): ReactElement | null {
  if (items.length === 0) return null;
  const rest = items.length - most;
  return (
    <section aria-label={title}>
      <h3 className="font-bold">
        {title}
        {rest > 0 && <span className="font-normal text-quiet">, the first of them</span>}
      </h3>
      <ul>
        {items.slice(0, most).map((item, index) => (
          <li key={index} className="border-t border-hairline py-1">
            <RowCells item={item} />
            {item.fields.length > 0 && (
              <span className="block break-words text-quiet">{differencesWords(item.fields)}</span>
            )}
            {item.along.length > 0 && (
              <span className="block break-words text-quiet">
                with {listOfWords(item.along.map(alongWords))}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Where a row stands in the file, and what stands in it. */
export function RowCells({ item }: { readonly item: ShownItem }): ReactElement {
  return (
    <span className="block truncate">
      <span className="mr-2 inline-block min-w-14 text-fine text-quiet">Row {item.row}</span>
      {item.cells.join(" · ")}
    </span>
  );
}
