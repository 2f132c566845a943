import { namingIssues, vinDoubt, type Machine } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useState, type FormEvent, type ReactElement } from "react";
import { useBook } from "../../../app/openBook.js";
import { useAppSelector } from "../../../app/store.js";
import { useKeep } from "../../../app/useKeep.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { useModel, type FormModel } from "../../../ui/useModel.js";
import {
  GALLON_CHOICES,
  HISTORY_CHOICES,
  KINDS,
  machineIssueWords,
  vinDoubtWords,
} from "../../../words/machineWords.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { PicturesField } from "../pictures/PicturesField.js";
import { DutyFields } from "./DutyFields.js";
import { DayField } from "../../../ui/DayField.js";
import { factsProblem, machineOf, modelOfMachine, type FactsModel } from "./factsModel.js";
import { LaidUpFields, NeededFields } from "./LaidUpFields.js";
import { RunningInFields } from "./RunningInFields.js";
import { ServiceStanding } from "./ServiceStanding.js";

/** What a machine is, where it lives, how it is used, when it stands; and whether it may be used. */
export default function FactsPage(): ReactElement {
  const machine = useMachineOfAddress();
  const { storage } = useBook();
  const id = machine?.machine.id;
  // As stored and not as on the board: what is saved is compared with it.
  const stored = useLiveOf(
    id ?? null,
    async () => (id === undefined ? null : ((await storage.machineBook(id))?.machines[0] ?? null)),
    [storage],
  );
  return (
    <MachineFrame machine={machine}>
      {stored !== undefined && stored !== null && (
        <>
          <ServiceStanding key={`standing ${stored.id}`} machine={stored} />
          <FactsForm key={JSON.stringify(stored)} machine={stored} />
        </>
      )}
    </MachineFrame>
  );
}

function FactsForm({ machine }: { readonly machine: Machine }): ReactElement {
  const form = useModel(() => modelOfMachine(machine));
  const { model, field } = form;
  const { keep, failure } = useKeep();
  const machines = useAppSelector((state) => state.board.machines);
  const [problem, setProblem] = useState("");
  const save = (event: FormEvent): void => {
    event.preventDefault();
    const after = machineOf(model, machine);
    const naming = namingIssues(
      after,
      machines.map((one) => one.machine),
      machine.id,
    ).map(machineIssueWords);
    const wrong = [...naming, factsProblem(model)].filter((line) => line !== "").join(" ");
    setProblem(wrong);
    if (wrong === "") void keep("machines", machine, after);
  };
  return (
    <form onSubmit={save} className="max-w-[76rem] space-y-7" noValidate>
      <WhatItIs form={form} />
      <DutyFields form={form} />
      <LaidUpFields {...field("laidUp")} />
      <NeededFields {...field("needed")} />
      <div className="max-w-sm">
        <TextField
          label="A visit of it costs"
          note="before anything is done; left empty, as in the weights of visits"
          {...field("visitCost")}
        />
      </div>
      <RunningInFields {...field("runningIn")} meters={machine.meters ?? []} />
      <NoteField label="Note" {...field("note")} />
      <PicturesField {...field("pictures")} />
      <div role="alert" className="font-semibold text-due">
        {problem === "" ? failure : problem}
      </div>
      <FormFoot>
        <button type="submit" className={PRIMARY_BUTTON}>
          Save the facts
        </button>
      </FormFoot>
    </form>
  );
}

function WhatItIs({
  form: { model, field },
}: {
  readonly form: FormModel<FactsModel>;
}): ReactElement {
  const { storage } = useBook();
  const places = useLiveQuery(() => storage.list("places"), [storage]) ?? [];
  const placeChoices = places.map((place) => [place.id as string, place.name] as const);
  const people = useLiveQuery(() => storage.list("people"), [storage]) ?? [];
  const own = people.filter(({ id, hasLeft }) => hasLeft !== true || id === model.person);
  const personChoices = own.map((person) => [person.id as string, person.name] as const);
  const doubt = model.vin.trim() === "" ? null : vinDoubt(model.vin);
  return (
    <section aria-labelledby="what" className="grid gap-x-6 gap-y-3 sm:grid-cols-4">
      <h2 id="what" className="text-large font-bold sm:col-span-4">
        What it is
      </h2>
      <TextField label="Number" isMono {...field("tag")} />
      <TextField label="Name" {...field("name")} />
      <TextField label="Kind" offered={KINDS} {...field("kind")} />
      <SelectField
        label="Lives at"
        choices={[["", "not recorded"], ...placeChoices]}
        {...field("place")}
      />
      <SelectField
        label="Looked after by"
        choices={[["", "not recorded"], ...personChoices]}
        {...field("person")}
      />
      <div className="sm:col-span-2">
        <TextField label="Make and model" {...field("description")} />
      </div>
      <div className="sm:col-span-2">
        <TextField label="Engine or variant" {...field("variant")} />
      </div>
      <div className="sm:col-span-2">
        <TextField
          label="VIN"
          isMono
          note={doubt === null ? "" : vinDoubtWords(doubt)}
          {...field("vin")}
        />
      </div>
      <TextField label="Serial number" isMono {...field("serial")} />
      <TextField label="Registration" isMono {...field("registration")} />
      <DayField label="In service since" {...field("inService")} />
      <DayField label="Came here" {...field("acquired")} />
      <SelectField label="History before" choices={HISTORY_CHOICES} {...field("history")} />
      <SelectField
        label="A bare quart or gallon means"
        choices={GALLON_CHOICES}
        {...field("gallons")}
      />
    </section>
  );
}
