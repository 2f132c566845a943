import { SPANS } from "@yonderfell/core";
import type { ReactElement } from "react";
import { DayField } from "../../../ui/DayField.js";
import { SelectField } from "../../../ui/fields.js";
import { SPAN_WORDS } from "./costWords.js";
import type { AskedSpan } from "./useSpan.js";

const CHOICES = SPANS.map((name) => [name, SPAN_WORDS[name]] as const);

/** From when to when something is told. */
export function SpanChoice({
  asked,
  label = "Costs of",
}: {
  readonly asked: AskedSpan;
  readonly label?: string;
}): ReactElement {
  const { name, typed, span, choose, type } = asked;
  return (
    <div className="flex flex-wrap items-start gap-x-5 gap-y-2 print:hidden">
      <div className="w-52">
        <SelectField label={label} value={name} choices={CHOICES} onChange={choose} />
      </div>
      {name === "days" && (
        <>
          <DayField label="From" value={typed.from} onChange={(value) => type("from", value)} />
          <DayField
            label="To, that day included"
            value={typed.to}
            problem={span === null ? "Choose two days, the first no later than the last." : ""}
            onChange={(value) => type("to", value)}
          />
        </>
      )}
    </div>
  );
}
