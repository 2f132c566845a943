import type { Bay, Person, Place } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RecordDialog } from "../../form/RecordDialog.js";
import { asItStands } from "../../form/typed.js";
import { useForm } from "../../form/useForm.js";
import { CheckField, NoteField, SelectField, TextField } from "../../ui/fields.js";
import { AskCurrency } from "../shared/currency/AskCurrency.js";
import {
  bayOf,
  bayProblems,
  modelOfBay,
  modelOfPerson,
  modelOfPlace,
  personOf,
  personProblems,
  placeOf,
  placeProblems,
} from "./workshopModel.js";
import {
  BAY_LABELS,
  PERSON_LABELS,
  PLACE_LABELS,
  workshopProblemWords as problemWords,
} from "./workshopWords.js";

/** What is being written down: a record, or a new one of its kind. */
export type Editing =
  | { readonly code: "person"; readonly record: Person | null }
  | { readonly code: "bay"; readonly record: Bay | null }
  | { readonly code: "place"; readonly record: Place | null };

/** Writes down a person, a bay or a place. */
export function EditingForm({
  editing,
  people,
  bays,
  places,
  onClose,
}: {
  readonly editing: Editing;
  readonly people: readonly Person[];
  readonly bays: readonly Bay[];
  readonly places: readonly Place[];
  readonly onClose: () => void;
}): ReactElement {
  switch (editing.code) {
    case "person":
      return <PersonForm person={asItStands(people, editing.record)} onClose={onClose} />;
    case "bay":
      return <BayForm bay={asItStands(bays, editing.record)} places={places} onClose={onClose} />;
    case "place":
      return <PlaceForm place={asItStands(places, editing.record)} onClose={onClose} />;
  }
}

function PersonForm({
  person,
  onClose,
}: {
  readonly person: Person | null;
  readonly onClose: () => void;
}): ReactElement {
  const form = useForm({
    form: "person",
    of: person?.id ?? "new",
    source: person,
    modelOf: modelOfPerson,
    labels: PERSON_LABELS,
    problemsOf: personProblems,
    problemWords,
  });
  const { model, field } = form;
  return (
    <RecordDialog
      noun="person"
      name={person?.name ?? null}
      section="people"
      form={form}
      recordOf={personOf}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField autoFocus {...field("name")} />
        <TextField isMono {...field("initials")} />
        <TextField isMono {...field("rate")} />
        <TextField isMono {...field("hours")} />
      </div>
      {model.rate.trim() !== "" && <AskCurrency />}
      <CheckField {...field("hasLeft")} />
      <NoteField {...field("note")} />
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
  const form = useForm({
    form: "bay",
    of: bay?.id ?? "new",
    source: bay,
    modelOf: modelOfBay,
    labels: BAY_LABELS,
    problemsOf: bayProblems,
    problemWords,
  });
  const { field } = form;
  const choices = places.map((place) => [place.id as string, place.name] as const);
  return (
    <RecordDialog
      noun="bay"
      name={bay?.name ?? null}
      section="bays"
      form={form}
      recordOf={bayOf}
      said={{
        place: (id: string) => places.find((one) => one.id === id)?.name ?? "not recorded",
      }}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField autoFocus {...field("name")} />
        <SelectField choices={[["", "not recorded"], ...choices]} {...field("place")} />
        <TextField isMono {...field("hours")} />
      </div>
      <NoteField {...field("note")} />
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
  const form = useForm({
    form: "place",
    of: place?.id ?? "new",
    source: place,
    modelOf: modelOfPlace,
    labels: PLACE_LABELS,
    problemsOf: placeProblems,
    problemWords,
  });
  const { field } = form;
  return (
    <RecordDialog
      noun="place"
      name={place?.name ?? null}
      section="places"
      form={form}
      recordOf={placeOf}
      onClose={onClose}
    >
      <TextField autoFocus {...field("name")} />
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}
