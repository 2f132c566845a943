import type { ReactElement } from "react";
import { meterReadingOpened } from "../../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { LongList } from "../../../ui/LongList.js";
import { Page } from "../../../ui/Page.js";
import { counted } from "../../../words/format.js";
import { SheetLine } from "./SheetLine.js";
import type { SheetRow } from "./sheetModel.js";
import { useReadingSheet, type ReadingSheetState } from "./useReadingSheet.js";

const keyOf = (row: SheetRow): string => row.key;
const heightOf = (): number => 57;

/** Puts the cursor into a row's field, down or up the sheet. */
function goTo(place: number): void {
  const field = document.querySelector<HTMLInputElement>(`input[data-row="${place}"]`);
  field?.focus();
  field?.select();
}

/** The meters of all machines on one sheet: type, Enter, next; or paste a column. */
export default function ReadingSheet(): ReactElement {
  const sheet = useReadingSheet();
  const today = useAppSelector((state) => state.session.today);
  const dispatch = useAppDispatch();
  const places = new Map(sheet.rows.map((row, index) => [row.key, index]));
  return (
    <Page title="Reading sheet">
      <div className="mb-3 flex flex-wrap items-start gap-x-8 gap-y-2">
        <div className="w-52">
          <DateField label="Read on" value={sheet.date} today={today} onChange={sheet.setDate} />
        </div>
        <p className="max-w-[44ch] pt-5 text-quiet">
          Type what each dial shows; Enter goes to the next. A column copied from elsewhere can be
          pasted into the first field it belongs to.
        </p>
      </div>
      <div role="list">
        <LongList
          items={sheet.rows}
          keyOf={keyOf}
          heightOf={heightOf}
          draw={(row) => {
            const place = places.get(row.key) ?? 0;
            return (
              <SheetLine
                row={row}
                place={place}
                sheet={sheet}
                onGoTo={goTo}
                onAlone={(line) => dispatch(meterReadingOpened(line))}
              />
            );
          }}
        />
      </div>
      {sheet.rows.length === 0 && (
        <p className="py-6 text-quiet">No machine has a meter yet. Add machines in the Yard.</p>
      )}
      <Foot sheet={sheet} />
    </Page>
  );
}

/** How much is typed and whether it is kept, and the button that saves it. */
function Foot({ sheet }: { readonly sheet: ReadingSheetState }): ReactElement {
  const typed = [...sheet.figures.values()].filter((text) => text.trim() !== "").length;
  const { kept, refused, failure } = sheet;
  return (
    <div className="sticky bottom-0 flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-rule bg-ground py-3">
      <button
        type="button"
        className={PRIMARY_BUTTON}
        // Until the machines are there, nothing of what was kept can be judged or saved.
        disabled={typed === 0 || sheet.rows.length === 0}
        onClick={() => sheet.save()}
      >
        Save {counted(typed, "reading")}
      </button>
      <p role="status" className="text-quiet">
        {typed > 0 && kept === "kept" && "Kept as typed; not yet in the book."}
        {typed > 0 &&
          kept === "failed" &&
          "What you have typed is not kept if this page is closed."}
      </p>
      <p role="alert" className="font-semibold text-due">
        {failure}
        {refused.size > 0 && `${counted(refused.size, "figure")} not saved; look below each.`}
      </p>
    </div>
  );
}
