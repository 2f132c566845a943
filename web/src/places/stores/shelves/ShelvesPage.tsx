import { stockTable, type ShelfItem } from "@yonderfell/core";
import { ListChecks, PackagePlus, Tags } from "lucide-react";
import { useDeferredValue, useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useShelves } from "../../../session/useShelves.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { counted, fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { PrintButton, TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { StoresFrame } from "../StoresFrame.js";
import { MoveDialog } from "./MoveDialog.js";
import { shelvesIn, SHOWN, SHOWN_WORDS, shownItems, worthOf, type Shown } from "./shelfModel.js";
import { ShelfTable } from "./ShelfTable.js";

/** What stands on the shelves: how much, where, what is short, what does not agree, what lies still. */
export default function ShelvesPage(): ReactElement {
  const { shelves, failure } = useShelves();
  const [moved, setMoved] = useState<ShelfItem | null>();
  const items = shelves?.items ?? [];
  return (
    <StoresFrame
      title="Shelves"
      aside={
        <div className="flex flex-wrap gap-3">
          <Link to="/stores/count" className={QUIET_BUTTON}>
            <ListChecks size={18} aria-hidden="true" />
            Count a shelf
          </Link>
          <button type="button" className={PRIMARY_BUTTON} onClick={() => setMoved(null)}>
            <PackagePlus size={18} aria-hidden="true" />
            Something came or went
          </button>
        </div>
      }
    >
      {failure !== "" && (
        <p role="alert" className="text-due">
          The shelves were not reckoned: {failure}
        </p>
      )}
      {shelves !== null && items.length === 0 && (
        <p className="max-w-[68ch] py-6 text-quiet">
          Nothing is kept on a shelf yet. Write down what came, or count what is there: parts and
          fluids are written down by their numbers under <em>Numbers and prices</em>. What jobs take
          is taken off by itself.
        </p>
      )}
      {shelves !== null && items.length > 0 && <Shelved items={items} onMove={setMoved} />}
      {moved !== undefined && (
        <MoveDialog
          item={moved === null ? null : moved.item}
          items={items}
          onClose={() => setMoved(undefined)}
        />
      )}
    </StoresFrame>
  );
}

function Shelved({
  items,
  onMove,
}: {
  readonly items: readonly ShelfItem[];
  readonly onMove: (item: ShelfItem) => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const currency = useCurrency();
  const [shelf, setShelf] = useState("");
  const [words, setWords] = useState("");
  const [shown, setShown] = useState<Shown>("all");
  const seen = shownItems(items, { shelf, words: useDeferredValue(words), shown });
  const { worth, unpriced } = worthOf(seen);
  const choices = [
    ["", "All shelves"] as const,
    ...shelvesIn(items).map((name) => [name, name] as const),
  ];
  return (
    <>
      <div className="mb-3 flex flex-wrap items-end gap-x-5 gap-y-2 print:hidden">
        <div className="w-44">
          <SelectField label="Shelf" value={shelf} choices={choices} onChange={setShelf} />
        </div>
        <div className="w-60">
          <SelectField
            label="Show"
            value={shown}
            choices={SHOWN.map((one) => [one, SHOWN_WORDS[one]] as const)}
            onChange={setShown}
          />
        </div>
        <div className="w-64">
          <TextField label="Number or name" value={words} onChange={setWords} />
        </div>
        <TakeAway seen={seen} shelf={shelf} />
      </div>
      <p className="mb-2">
        <span className="hidden font-semibold print:inline">
          {shelf === "" ? "All shelves" : `Shelf ${shelf}`},{" "}
        </span>
        {counted(seen.length, "item")}, on {fullDate(today)}, worth{" "}
        <strong className="tabular-nums">{money(worth, currency)}</strong>
        {unpriced > 0 && `, ${counted(unpriced, "item")} without a price left out`}.
      </p>
      <ShelfTable items={seen} today={today} currency={currency} onMove={onMove} />
      {seen.length === 0 && <p className="py-3 text-quiet">Nothing here fits.</p>}
    </>
  );
}

function TakeAway({
  seen,
  shelf,
}: {
  readonly seen: readonly ShelfItem[];
  readonly shelf: string;
}): ReactElement {
  const giveTable = useTableFile();
  return (
    <div className="flex flex-wrap gap-3">
      <TableButton onPress={() => giveTable("stock", stockTable(seen))} />
      <PrintButton />
      <Link
        to={`/stores/labels?shelf=${encodeURIComponent(shelf)}`}
        className={QUIET_BUTTON}
        aria-label="Labels for shelves"
      >
        <Tags size={18} aria-hidden="true" />
        Labels
      </Link>
    </div>
  );
}
