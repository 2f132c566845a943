import type { ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useShelves } from "../../../session/useShelves.js";
import { SelectField } from "../../../ui/fields.js";
import { StoresFrame } from "../StoresFrame.js";
import { onShelf } from "./countModel.js";
import { CountSheet } from "./CountSheet.js";
import { shelvesIn } from "./shelfModel.js";

/** A shelf is counted: a figure, Enter, the next. */
export default function CountPage(): ReactElement {
  const { shelves } = useShelves();
  const [search, setSearch] = useSearchParams();
  const items = shelves?.items ?? [];
  const names = shelvesIn(items);
  const shelf = search.get("shelf") ?? names[0] ?? "";
  const listed = onShelf(items, shelf);
  return (
    <StoresFrame title={shelf === "" ? "Count the shelves" : `Count shelf ${shelf}`}>
      <div className="max-w-3xl">
        <p className="mb-3 text-quiet">
          Type what is there and press Enter; what is left empty is not counted. A list can be
          pasted: a number or name and a figure a line, or figures alone from the field on.
        </p>
        <div className="mb-3 max-w-60">
          <SelectField
            label="Shelf"
            value={shelf}
            choices={[["", "All shelves"] as const, ...names.map((name) => [name, name] as const)]}
            onChange={(name) => setSearch({ shelf: name }, { replace: true })}
          />
        </div>
        {listed.length > 0 && <CountSheet key={shelf} items={listed} shelf={shelf} />}
        {shelves !== null && listed.length === 0 && (
          <p className="py-3 text-quiet">
            Nothing lies here yet. What has a move or a least amount is counted here.
          </p>
        )}
      </div>
    </StoresFrame>
  );
}
