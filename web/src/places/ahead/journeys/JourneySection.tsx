import type { DayNumber, Journey, Machine } from "@yonderfell/core";
import { ChevronDown, ChevronRight, Pencil } from "lucide-react";
import { useState, type ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { journeyLine, journeySummary } from "../../../words/journeyWords.js";
import { JourneyPanel } from "./JourneyPanel.js";
import { useJourneyPlan } from "./useJourneyPlan.js";

/** A journey in a line, and once it is opened what it asks of its machine. */
export function JourneySection({
  journey,
  machine,
  today,
  isOpen,
  onOpen,
  onEdit,
}: {
  readonly journey: Journey;
  readonly machine: Machine;
  readonly today: DayNumber;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  readonly onEdit: () => void;
}): ReactElement {
  const [chosen, setChosen] = useState<DayNumber | null>(null);
  const read = useJourneyPlan(journey, chosen, today);
  const heading = `journey-${journey.id}`;
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  return (
    <section aria-labelledby={heading} className="border-t border-rule py-2">
      <div className="flex flex-wrap items-start justify-between gap-x-6">
        <h2 id={heading} className="min-w-0 flex-1 leading-tight max-sm:basis-full">
          <button
            type="button"
            data-prints=""
            aria-expanded={isOpen}
            className="flex min-h-11 w-full items-start gap-2.5 py-1.5 text-left hover:bg-wash max-sm:min-h-12"
            onClick={onOpen}
          >
            <Chevron size={18} aria-hidden="true" className="mt-1 shrink-0" />
            <span className="min-w-0">
              <span className="mr-2.5 font-mono text-large font-extrabold">{machine.tag}</span>
              <span className="text-large font-bold">{journey.name}</span>
              <span className="block text-body font-normal text-quiet">
                {journeyLine(journey, machine.meters ?? [], today)}
              </span>
            </span>
          </button>
        </h2>
        <p className="max-w-[60ch] py-2 font-semibold max-sm:pl-7">
          {read === null ? "" : journeySummary(read.plan, today)}
        </p>
        <button
          type="button"
          aria-label={`Change ${journey.name}`}
          className={QUIET_BUTTON}
          onClick={onEdit}
        >
          <Pencil size={16} aria-hidden="true" />
          Change
        </button>
      </div>
      {isOpen && read !== null && (
        <JourneyPanel {...{ machine, today, ...read }} onChoose={setChosen} />
      )}
    </section>
  );
}
