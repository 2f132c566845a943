import type { Bay, BayId, Person, PersonId, Place, PlaceId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../data/newId.js";
import { CheckField, NoteField, SelectField, TextField } from "../../ui/fields.js";
import { RecordDialog } from "../../ui/RecordDialog.js";
import { useModel } from "../../ui/useModel.js";
import { AskCurrency } from "../stores/AskCurrency.js";
import { typedFigure, typedNumber } from "../../words/writing.js";

/** What is being written down: a record, or a new one of its kind. */
export type Editing =
  | { readonly code: "person"; readonly record: Person | null }
  | { readonly code: "bay"; readonly record: Bay | null }
  | { readonly code: "place"; readonly record: Place | null };

/** Writes down a person, a bay or a place. */
export function EditingForm({
  editing,
  places,
  onClose,
}: {
  readonly editing: Editing;
  readonly places: readonly Place[];
  readonly onClose: () => void;
}): ReactElement {
  switch (editing.code) {
    case "person":
      return <PersonForm person={editing.record} onClose={onClose} />;
    case "bay":
      return <BayForm bay={editing.record} places={places} onClose={onClose} />;
    case "place":
      return <PlaceForm place={editing.record} onClose={onClose} />;
  }
}

const orNull = (text: string): string | null => (text.trim() === "" ? null : text.trim());
const isAmount = (text: string): boolean => text.trim() === "" || (typedNumber(text) ?? -1) >= 0;
const typed = (value: number | null | undefined): string =>
  value === null || value === undefined ? "" : typedFigure(value);

function PersonForm({
  person,
  onClose,
}: {
  readonly person: Person | null;
  readonly onClose: () => void;
}): ReactElement {
  const { model, field } = useModel(() => ({
    name: person?.name ?? "",
    initials: person?.initials ?? "",
    rate: typed(person?.rate),
    hours: typed(person?.hoursAWeek),
    hasLeft: person?.hasLeft === true,
    note: person?.note ?? "",
  }));
  const problem =
    model.name.trim() === "" || model.initials.trim() === ""
      ? "Give a name and the initials they sign with."
      : isAmount(model.rate) && isAmount(model.hours)
        ? ""
        : "Rate and hours must be numbers of 0 or more.";
  const after = (): Person => ({
    ...person,
    id: person?.id ?? (newId() as PersonId),
    name: model.name.trim(),
    initials: model.initials.trim(),
    rate: typedNumber(model.rate),
    hoursAWeek: typedNumber(model.hours),
    hasLeft: model.hasLeft,
    note: orNull(model.note),
  });
  return (
    <RecordDialog
      noun="person"
      name={person?.name ?? null}
      section="people"
      before={person}
      problem={problem}
      after={after}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField label="Name" autoFocus {...field("name")} />
        <TextField label="Initials for the record" isMono {...field("initials")} />
        <TextField label="What an hour costs" isMono {...field("rate")} />
        <TextField label="Hours a week" isMono {...field("hours")} />
      </div>
      {model.rate.trim() !== "" && <AskCurrency />}
      <CheckField label="Has left; stays in the record" {...field("hasLeft")} />
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}

function BayForm({
  bay,
  places,
  onClose,
}: {
  readonly bay: Bay | null;
  readonly places: readonly Place[];
  readonly onClose: () => void;
}): ReactElement {
  const { model, field } = useModel(() => ({
    name: bay?.name ?? "",
    place: bay?.place ?? "",
    hours: typed(bay?.hoursAWeek),
    note: bay?.note ?? "",
  }));
  const problem =
    model.name.trim() === ""
      ? "Give the bay a name."
      : isAmount(model.hours)
        ? ""
        : "Hours must be a number of 0 or more.";
  const after = (): Bay => ({
    ...bay,
    id: bay?.id ?? (newId() as BayId),
    name: model.name.trim(),
    place: model.place === "" ? null : (model.place as PlaceId),
    hoursAWeek: typedNumber(model.hours),
    note: orNull(model.note),
  });
  const choices = places.map((place) => [place.id as string, place.name] as const);
  return (
    <RecordDialog
      noun="bay"
      name={bay?.name ?? null}
      section="bays"
      before={bay}
      problem={problem}
      after={after}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField label="Name" autoFocus {...field("name")} />
        <SelectField label="At" choices={[["", "not recorded"], ...choices]} {...field("place")} />
        <TextField label="Hours a week" isMono {...field("hours")} />
      </div>
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}

function PlaceForm({
  place,
  onClose,
}: {
  readonly place: Place | null;
  readonly onClose: () => void;
}): ReactElement {
  const { model, field } = useModel(() => ({ name: place?.name ?? "", note: place?.note ?? "" }));
  const after = (): Place => ({
    ...place,
    id: place?.id ?? (newId() as PlaceId),
    name: model.name.trim(),
    note: orNull(model.note),
  });
  const problem = model.name.trim() === "" ? "Give the place a name." : "";
  return (
    <RecordDialog
      noun="place"
      name={place?.name ?? null}
      section="places"
      before={place}
      problem={problem}
      after={after}
      onClose={onClose}
    >
      <TextField label="Name" autoFocus {...field("name")} />
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}
