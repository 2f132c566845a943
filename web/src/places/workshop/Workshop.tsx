import type { Bay, Person, Place } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type ReactElement } from "react";
import { useBook } from "../../session/openBook.js";
import { Page } from "../../ui/Page.js";
import { figure } from "../../words/format.js";
import { money } from "../../words/money.js";
import { useCurrency } from "../shared/currency/useCurrency.js";
import { DaysOff } from "./DaysOff.js";
import { EditingForm, type Editing } from "./forms.js";
import { Row, Section } from "./lists.js";

const hoursWords = (hours: number | null | undefined): string =>
  hours === null || hours === undefined
    ? ""
    : `${figure(hours, Number.isInteger(hours) ? 0 : 1)} h a week`;

/** Who works, where, and how many hours there are. */
export default function Workshop(): ReactElement {
  const { storage } = useBook();
  const places = useLiveQuery(() => storage.list("places"), [storage]) ?? [];
  const people = useLiveQuery(() => storage.list("people"), [storage]) ?? [];
  const bays = useLiveQuery(() => storage.list("bays"), [storage]) ?? [];
  const closures = useLiveQuery(() => storage.list("closures"), [storage]) ?? [];
  const [editing, setEditing] = useState<Editing | null>(null);
  return (
    <Page title="People and places">
      <People people={people} onEdit={setEditing} />
      <Bays bays={bays} places={places} onEdit={setEditing} />
      <Section
        title="Places"
        action="Add a place"
        empty="Where machines live."
        onAdd={() => setEditing({ code: "place", record: null })}
      >
        {places.map((place) => (
          <Row
            key={place.id}
            cells={["", place.name, "", "", place.note ?? ""]}
            onEdit={() => setEditing({ code: "place", record: place })}
          />
        ))}
      </Section>
      <DaysOff {...{ closures, people, bays }} onEdit={setEditing} />
      {editing !== null && (
        <EditingForm
          {...{ editing, people, bays, places, closures }}
          onClose={() => setEditing(null)}
        />
      )}
    </Page>
  );
}

interface ListProps {
  readonly onEdit: (editing: Editing) => void;
}

function People({
  people,
  onEdit,
}: ListProps & { readonly people: readonly Person[] }): ReactElement {
  const currency = useCurrency();
  return (
    <Section
      title="People"
      action="Add a person"
      empty="Who works on the machines: initials for the record, rate, hours a week."
      onAdd={() => onEdit({ code: "person", record: null })}
    >
      {people.map((person) => {
        const { initials, name, hasLeft, hoursAWeek, rate, note, skills } = person;
        const cost = typeof rate === "number" ? `${money(rate, currency)} an hour` : "";
        const can = (skills ?? []).join(", ");
        const called = hasLeft === true ? `${name}, has left` : name;
        return (
          <Row
            key={person.id}
            cells={[
              initials,
              called,
              hoursWords(hoursAWeek),
              cost,
              [can, note ?? ""].filter(Boolean).join(". "),
            ]}
            onEdit={() => onEdit({ code: "person", record: person })}
          />
        );
      })}
    </Section>
  );
}

function Bays({
  bays,
  places,
  onEdit,
}: ListProps & {
  readonly bays: readonly Bay[];
  readonly places: readonly Place[];
}): ReactElement {
  const nameOf = (id: string | null | undefined): string =>
    places.find((place) => place.id === id)?.name ?? "";
  return (
    <Section
      title="Bays"
      action="Add a bay"
      empty="Where machines are worked on, and the hours a week they can be."
      onAdd={() => onEdit({ code: "bay", record: null })}
    >
      {bays.map((bay) => (
        <Row
          key={bay.id}
          cells={[
            ...["", bay.name, hoursWords(bay.hoursAWeek), nameOf(bay.place)],
            [(bay.takes ?? []).join(", "), bay.note ?? ""].filter(Boolean).join(". "),
          ]}
          onEdit={() => onEdit({ code: "bay", record: bay })}
        />
      ))}
    </Section>
  );
}
