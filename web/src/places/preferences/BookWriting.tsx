import { DEFAULT_COLD_MARGIN, parseFigure, type Book, type Gallons } from "@yonderfell/core";
import type { ReactElement } from "react";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { SelectField, TextField } from "../../ui/fields.js";
import { useModel } from "../../ui/useModel.js";
import { decimalSign, typedFigure } from "../../words/writing.js";
import { money } from "../../words/money.js";
import { NotSaved } from "./NotSaved.js";
import { useSettingsChange } from "../../app/useSettingsChange.js";

type OwnSettings = Book["settings"];
const CURRENCY_LENGTH = 12;

const GALLONS: readonly (readonly [Gallons | "", string])[] = [
  ["", "not said: each field asks"],
  ["us", "US: a quart is 0.946 L, a gallon 3.785 L"],
  ["imperial", "imperial: a quart is 1.137 L, a gallon 4.546 L"],
];

/** How the book writes money, and whose quarts and gallons a bare word means in it. */
export function BookWriting({ own }: { readonly own: OwnSettings }): ReactElement {
  const before = {
    currency: own?.currency ?? "",
    gallons: own?.gallons ?? ("" as const),
    coldMargin: typedFigure(own?.coldMargin ?? DEFAULT_COLD_MARGIN),
  };
  return (
    <section aria-labelledby="writing" className="space-y-4">
      <h3 id="writing" className="font-bold">
        Money, quarts and cold
      </h3>
      <WritingForm key={JSON.stringify(before)} before={before} />
    </section>
  );
}

interface Writing {
  readonly currency: string;
  readonly gallons: Gallons | "";
  readonly coldMargin: string;
}

function WritingForm({ before }: { readonly before: Writing }): ReactElement {
  const { save, failure } = useSettingsChange();
  const { model, field } = useModel<Writing>(() => before);
  const currency = model.currency.trim();
  const coldMargin = parseFigure(model.coldMargin, decimalSign());
  const isSame =
    currency === before.currency &&
    model.gallons === before.gallons &&
    model.coldMargin === before.coldMargin;
  const problem =
    currency.length > CURRENCY_LENGTH
      ? `a currency has at most ${CURRENCY_LENGTH} letters.`
      : coldMargin === null
        ? "type how many degrees are kept, 0 or more."
        : "";
  return (
    <form
      className="max-w-[30rem] space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        const gallons = model.gallons === "" ? null : model.gallons;
        void save({ currency, gallons, coldMargin }, "Saved.");
      }}
    >
      <TextField
        label="What stands behind an amount of money"
        note={`An amount is then written ${money(1240.5, currency)}. Amounts already written keep their figures.`}
        {...field("currency")}
      />
      <SelectField
        label="A bare quart, gallon, pint or fluid ounce is"
        choices={GALLONS}
        {...field("gallons")}
      />
      <p className="text-fine text-quiet">A machine’s own word for it comes first.</p>
      <TextField
        label="Kept above the cold limit of an engine oil’s winter grade, °C"
        note="Where the handbook allows a grade from a temperature, that decides."
        isMono
        {...field("coldMargin")}
      />
      <NotSaved failure={problem === "" ? failure : problem} />
      <button type="submit" className={PRIMARY_BUTTON} disabled={isSame || problem !== ""}>
        Save these
      </button>
    </form>
  );
}
