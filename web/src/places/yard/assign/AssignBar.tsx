import { assignMachines, type AssignIssue, type BoardMachine, type Place } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useRef, useState, type ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { useCommands } from "../../../session/useCommands.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField } from "../../../ui/fields.js";
import { fieldsOf } from "../../../ui/field.js";
import { counted } from "../../../words/format.js";
import {
  assignmentOf,
  LEFT_AS_IT_IS,
  personChoices,
  placeChoices,
  schoolChoices,
} from "./assignModel.js";

interface AssignBarProps {
  /** The machines that are shown: those that can be chosen at once. */
  readonly shown: readonly BoardMachine[];
  readonly chosen: ReadonlySet<string>;
  readonly places: readonly Place[];
  readonly onChosen: (chosen: ReadonlySet<string>) => void;
  readonly onEnd: () => void;
}

/** What the chosen machines are given in common: where they live, who looks after them, which school they follow. */
export function AssignBar(props: AssignBarProps): ReactElement {
  const { shown, chosen, places, onChosen, onEnd } = props;
  const { storage } = useBook();
  const people = useLiveQuery(() => storage.list("people"), [storage]) ?? [];
  const [model, setModel] = useState(LEFT_AS_IT_IS);
  const field = fieldsOf(model, (patch) => setModel({ ...model, ...patch }));
  const { run, failure } = useCommands<AssignIssue>(() => "They have all of this already.");
  const given = assignmentOf(model);
  // What opened it is gone, and what gives is not to be pressed again at once: it has their focus.
  const bar = useRef<HTMLElement>(null);
  useEffect(() => bar.current?.focus({ preventScroll: true }), []);
  const give = async (): Promise<void> => {
    await run(
      (_, around) =>
        storage.performShared(
          ["machines"],
          ({ machines }) =>
            assignMachines(
              machines.filter(({ id }) => chosen.has(id)),
              given,
            ),
          around,
        ),
      ({ change }) => `Saved: ${counted(change.records.length, "machine")} changed.`,
      () => {
        setModel(LEFT_AS_IT_IS);
        bar.current?.focus({ preventScroll: true });
      },
    );
  };
  return (
    <section
      ref={bar}
      tabIndex={-1}
      aria-label="For several machines"
      className="mb-3 bg-raised px-4 py-3 outline-none"
    >
      <Chosen {...{ shown, chosen, onChosen, onEnd }} />
      <div className="mt-2 grid items-end gap-x-6 gap-y-2 sm:grid-cols-3 lg:grid-cols-[repeat(3,minmax(9rem,14rem))_auto]">
        <SelectField label="Lives at" choices={placeChoices(places)} {...field("place")} />
        <SelectField label="Looked after by" choices={personChoices(people)} {...field("person")} />
        <SelectField label="School" choices={schoolChoices(shown)} {...field("regime")} />
        <button
          type="button"
          className={`${PRIMARY_BUTTON} justify-self-start`}
          disabled={chosen.size === 0 || Object.keys(given).length === 0}
          onClick={() => void give()}
        >
          Give it to {counted(chosen.size, "machine")}
        </button>
      </div>
      <p role="alert" className="font-semibold text-due">
        {failure}
      </p>
    </section>
  );
}

/** How many are chosen, and the ways to choose all, none, and to end it. */
function Chosen({ shown, chosen, onChosen, onEnd }: Omit<AssignBarProps, "places">): ReactElement {
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p role="status" className="mr-auto font-bold">
        {counted(chosen.size, "machine")} chosen
      </p>
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => onChosen(new Set(shown.map(({ machine }) => machine.id)))}
      >
        Choose all {shown.length} shown
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={() => onChosen(new Set())}>
        Choose none
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={onEnd}>
        End
      </button>
    </div>
  );
}
