import type { ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useShelves } from "../../../session/useShelves.js";
import { SelectField } from "../../../ui/fields.js";
import { Page } from "../../../ui/Page.js";
import { PrintActions } from "../../shared/PrintActions.js";
import { itemAmount } from "../stockWords.js";
import { onShelf } from "./countModel.js";
import { keyOfShelfItem, shelvesIn } from "./shelfModel.js";

/** Labels to stick on a shelf: number, name, where it lies, and from when on to buy. */
export default function LabelsPage(): ReactElement | null {
  const { shelves } = useShelves();
  const [search, setSearch] = useSearchParams();
  const shelf = search.get("shelf") ?? "";
  if (shelves === null) return null;
  const items = onShelf(shelves.items, shelf);
  const names = shelvesIn(shelves.items);
  return (
    <Page
      title={shelf === "" ? "Labels" : `Labels for shelf ${shelf}`}
      aside={
        <PrintActions back="/stores" backWords="The shelves">
          <SelectField
            label="Shelf"
            value={shelf}
            choices={[["", "All shelves"] as const, ...names.map((name) => [name, name] as const)]}
            onChange={(name) => setSearch({ shelf: name }, { replace: true })}
          />
        </PrintActions>
      }
    >
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 print:grid-cols-3 print:gap-2">
        {items.map((one) => (
          <li
            key={keyOfShelfItem(one)}
            className="break-inside-avoid border-2 border-ink bg-raised px-3 py-2"
          >
            <p className="font-mono text-[1.5rem] leading-tight font-bold">
              {one.number || one.name}
            </p>
            <p className="leading-tight">{one.number === "" ? "" : one.name}</p>
            <p className="mt-1 flex justify-between border-t border-rule pt-1">
              <span>{one.shelves.join(", ") || "shelf ____"}</span>
              <span>
                {one.stock.least === null
                  ? ""
                  : `buy below ${itemAmount(one.stock.least, one.stock.unit)}`}
              </span>
            </p>
          </li>
        ))}
      </ul>
    </Page>
  );
}
