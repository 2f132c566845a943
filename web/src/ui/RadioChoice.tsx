import { RadioGroup } from "radix-ui";
import type { ReactElement } from "react";

/** One answer of several, with what it means behind it. */
export function RadioChoice({
  value,
  label,
  rest,
}: {
  readonly value: string;
  readonly label: string;
  /** What follows from it, empty where that is plain. */
  readonly rest: string;
}): ReactElement {
  return (
    <label className="flex min-h-11 items-center gap-3 max-sm:min-h-12">
      <RadioGroup.Item
        value={value}
        className="grid size-5 shrink-0 place-items-center rounded-full border-2 border-rule"
      >
        <RadioGroup.Indicator className="size-2.5 rounded-full bg-clear" />
      </RadioGroup.Item>
      <span>
        {label}
        {rest !== "" && <span className="text-quiet">: {rest}</span>}
      </span>
    </label>
  );
}
