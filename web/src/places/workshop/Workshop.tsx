import type { Bay, Person, Place } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { Plus } from "lucide-react";
import { useState, type ReactElement, type ReactNode } from "react";
import { useBook } from "../../session/openBook.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { Page } from "../../ui/Page.js";
import { figure } from "../../words/format.js";
import { money } from "../../words/money.js";
import { useCurrency } from "../shared/currency/useCurrency.js";
import { EditingForm, type Editing } from "./forms.js";

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
      {editing !== null && (
        <EditingForm {...{ editing, people, bays, places }} onClose={() => setEditing(null)} />
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
        const { initials, name, hasLeft, hoursAWeek, rate, note } = person;
        const cost = typeof rate === "number" ? `${money(rate, currency)} an hour` : "";
        const called = hasLeft === true ? `${name}, has left` : name;
        return (
          <Row
            key={person.id}
            cells={[initials, called, hoursWords(hoursAWeek), cost, note ?? ""]}
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
          cells={["", bay.name, hoursWords(bay.hoursAWeek), nameOf(bay.place), bay.note ?? ""]}
          onEdit={() => onEdit({ code: "bay", record: bay })}
        />
      ))}
    </Section>
  );
}

function Section({
  title,
  action,
  empty,
  onAdd,
  children,
}: {
  readonly title: string;
  readonly action: string;
  readonly empty: string;
  readonly onAdd: () => void;
  readonly children: readonly ReactNode[];
}): ReactElement {
  return (
    <section aria-labelledby={title} className="mb-8 max-w-[72rem]">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 id={title} className="mr-auto text-large font-bold">
          {title}
        </h2>
        <button type="button" className={QUIET_BUTTON} onClick={onAdd}>
          <Plus size={18} aria-hidden="true" />
          {action}
        </button>
      </div>
      {children.length === 0 && <p className="border-t border-hairline py-3 text-quiet">{empty}</p>}
      <ul>{children}</ul>
    </section>
  );
}

function Row({
  cells: [mark = "", name = "", hours = "", more = "", note = ""],
  onEdit,
}: {
  readonly cells: readonly string[];
  readonly onEdit: () => void;
}): ReactElement {
  return (
    <li className="grid items-center gap-x-6 border-t border-hairline py-1 lg:grid-cols-[3.5rem_16rem_8rem_10rem_1fr_3.5rem]">
      <span className="font-mono font-bold">{mark}</span>
      <span className="font-medium">{name}</span>
      <span className="tabular-nums">{hours}</span>
      <span className="tabular-nums">{more}</span>
      <span className="text-quiet">{note}</span>
      <button
        type="button"
        aria-label={`Edit ${name}`}
        className="min-h-11 justify-self-start text-clear hover:underline"
        onClick={onEdit}
      >
        Edit
      </button>
    </li>
  );
}
