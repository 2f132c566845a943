import type { Bay, Closure, Person, Place } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RecordDialog } from "../../form/RecordDialog.js";
import { asItStands } from "../../form/typed.js";
import { useForm } from "../../form/useForm.js";
import { CheckField, NoteField, SelectField, TextField } from "../../ui/fields.js";
import { DayField } from "../../ui/DayField.js";
import { AskCurrency } from "../shared/currency/AskCurrency.js";
import { NEEDS_NOTE } from "../../words/taskWords.js";
import {
  bayOf,
  bayProblems,
  closureOf,
  closureProblems,
  modelOfBay,
  modelOfClosure,
  modelOfPerson,
  modelOfPlace,
  personOf,
  personProblems,
  placeOf,
  placeProblems,
} from "./workshopModel.js";
import {
  BAY_LABELS,
  CLOSURE_LABELS,
  PERSON_LABELS,
  PLACE_LABELS,
  workshopProblemWords as problemWords,
} from "./workshopWords.js";

/** What is being written down: a record, or a new one of its kind. */
export type Editing =
  | { readonly code: "person"; readonly record: Person | null }
  | { readonly code: "bay"; readonly record: Bay | null }
  | { readonly code: "place"; readonly record: Place | null }
  | { readonly code: "closure"; readonly record: Closure | null };

/** Writes down a person, a bay or a place. */
export function EditingForm({
  editing,
  people,
  bays,
  places,
  closures,
  onClose,
}: {
  readonly editing: Editing;
  readonly people: readonly Person[];
  readonly bays: readonly Bay[];
  readonly places: readonly Place[];
  readonly closures: readonly Closure[];
  readonly onClose: () => void;
}): ReactElement {
  switch (editing.code) {
    case "person":
      return <PersonForm person={asItStands(people, editing.record)} onClose={onClose} />;
    case "bay":
      return <BayForm bay={asItStands(bays, editing.record)} places={places} onClose={onClose} />;
    case "place":
      return <PlaceForm place={asItStands(places, editing.record)} onClose={onClose} />;
    case "closure": {
      const closure = asItStands(closures, editing.record);
      return <ClosureForm {...{ closure, people, bays, onClose }} />;
    }
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
        <TextField note={NEEDS_NOTE} {...field("skills")} />
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
        <TextField note={NEEDS_NOTE} {...field("takes")} />
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

function ClosureForm({
  closure,
  people,
  bays,
  onClose,
}: {
  readonly closure: Closure | null;
  readonly people: readonly Person[];
  readonly bays: readonly Bay[];
  readonly onClose: () => void;
}): ReactElement {
  const form = useForm({
    form: "closure",
    of: closure?.id ?? "new",
    source: closure,
    modelOf: modelOfClosure,
    labels: CLOSURE_LABELS,
    problemsOf: closureProblems,
    problemWords,
  });
  const { field } = form;
  const there = people.filter(({ hasLeft, id }) => hasLeft !== true || id === closure?.person);
  const choices: readonly (readonly [string, string])[] = [
    ["", "The workshop: nobody works"],
    ...there.map(({ id, name }) => [`person ${id}`, `${name} is away`] as const),
    ...bays.map(({ id, name }) => [`bay ${id}`, `${name} is out of use`] as const),
  ];
  return (
    <RecordDialog
      noun="closure"
      name={closure === null ? null : (closure.reason ?? closure.from)}
      section="closures"
      form={form}
      recordOf={closureOf}
      said={{ of: (of: string) => choices.find(([value]) => value === of)?.[1] ?? of }}
      onClose={onClose}
    >
      <SelectField choices={choices} {...field("of")} />
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <DayField {...field("from")} />
        <DayField {...field("to")} />
      </div>
      <TextField {...field("reason")} />
    </RecordDialog>
  );
}
