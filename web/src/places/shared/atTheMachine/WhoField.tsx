import type { Person } from "@yonderfell/core";
import type { ReactElement } from "react";
import { SelectField } from "../../../ui/fields.js";

/** Who works here: somebody the book knows. */
export function WhoField({
  label,
  people,
  who,
  onWho,
}: {
  readonly label: string;
  readonly people: readonly Person[];
  readonly who: string;
  readonly onWho: (who: string) => void;
}): ReactElement {
  const there = people.filter(({ hasLeft, id }) => hasLeft !== true || id === who);
  return (
    <SelectField
      label={label}
      value={there.some(({ id }) => id === who) ? who : ""}
      choices={[["", "nobody named"], ...there.map(({ id, name }) => [id, name] as const)]}
      onChange={onWho}
    />
  );
}
