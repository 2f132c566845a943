import { journeyDays, type DayNumber, type Journey, type Machine } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { Plus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { asItStands } from "../../../form/typed.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { EmptyPlace } from "../../../ui/EmptyPlace.js";
import { AheadPage } from "../AheadPage.js";
import { JourneyForm } from "./JourneyForm.js";
import { JourneySection } from "./JourneySection.js";
import { Terms } from "../../../ui/Term.js";

/** What is being written down: a journey, or a new one. */
type Editing = { readonly journey: Journey | null } | null;

/** Journeys and seasons ahead, and what each asks of its machine. */
export default function JourneysPage(): ReactElement {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const [editing, setEditing] = useState<Editing>(null);
  const read = useLiveQuery(async () => {
    const [journeys, machines] = await Promise.all([storage.list("journeys"), storage.machines()]);
    return { journeys, machines };
  }, [storage]);
  if (read === undefined) return <AheadPage title="Journeys">{null}</AheadPage>;
  const { journeys, machines } = read;
  return (
    <AheadPage
      title="Journeys"
      aside={
        machines.length > 0 && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => setEditing({ journey: null })}
          >
            <Plus size={18} aria-hidden="true" />
            Add a journey
          </button>
        )
      }
    >
      {machines.length === 0 ? (
        <EmptyPlace words="A journey or a season that a machine is made ready for stands here: what falls due before it or on the way, and what doing it early throws away. It needs a machine first." />
      ) : journeys.length === 0 ? (
        <p className="max-w-[68ch] py-10 text-quiet">
          {
            "A journey or a season that a machine is made ready for: when it departs, for how long and how far. What falls due before it or on the way is worked out, and what doing it early throws away."
          }
        </p>
      ) : (
        <Journeys
          {...{ journeys, machines, today }}
          onEdit={(journey) => setEditing({ journey })}
        />
      )}
      {machines.length > 0 && (
        <Terms words={["journey", "grace", "hard", "life", "life unused", "turn"]} />
      )}
      {editing !== null && (
        <JourneyForm
          journey={asItStands(journeys, editing.journey)}
          machines={machines}
          onClose={() => setEditing(null)}
        />
      )}
    </AheadPage>
  );
}

function Journeys({
  journeys,
  machines,
  today,
  onEdit,
}: {
  readonly journeys: readonly Journey[];
  readonly machines: readonly Machine[];
  readonly today: DayNumber;
  readonly onEdit: (journey: Journey) => void;
}): ReactElement {
  const sorted = [...journeys].sort((one, other) => one.date.localeCompare(other.date));
  const isOver = (journey: Journey): boolean => journeyDays(journey, today).returns < today;
  const ahead = sorted.filter((journey) => !isOver(journey));
  const over = sorted.filter(isOver).reverse();
  const [open, setOpen] = useState<string | null>(ahead[0]?.id ?? null);
  const section = (journey: Journey): ReactElement | null => {
    const machine = machines.find(({ id }) => id === journey.machine);
    if (machine === undefined) return null;
    return (
      <JourneySection
        key={journey.id}
        {...{ journey, machine, today }}
        isOpen={open === journey.id}
        onOpen={() => setOpen(open === journey.id ? null : journey.id)}
        onEdit={() => onEdit(journey)}
      />
    );
  };
  return (
    <>
      {ahead.map(section)}
      {over.length > 0 && (
        <details className="mt-6">
          <summary className="min-h-10 cursor-pointer font-semibold">Over</summary>
          {over.map(section)}
        </details>
      )}
    </>
  );
}
