import { vinDoubt, type Machine } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useLiveOf } from "../../../data/useLiveOf.js";
import type { ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useKeep } from "../../../session/useKeep.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { FormBody } from "../../../form/FormBody.js";
import { valueWords, type Said } from "../../../form/MineAndTheirs.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import {
  GALLON_CHOICES,
  HISTORY_CHOICES,
  KINDS,
  vinDoubtWords,
} from "../../../words/machineWords.js";
import { counted } from "../../../words/format.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { PicturesField } from "../../shared/pictures/PicturesField.js";
import { DutyFields } from "./DutyFields.js";
import { DayField } from "../../../ui/DayField.js";
import { NEEDS_NOTE } from "../../../words/taskWords.js";
import { factsProblems, machineOf, modelOfMachine, type FactsModel } from "./factsModel.js";
import { DUTY_WORDS, FACTS_LABELS, factsProblemWords, standsWords } from "./factsWords.js";
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
          <FactsForm key={stored.id} machine={stored} />
        </>
      )}
    </MachineFrame>
  );
}

function FactsForm({ machine }: { readonly machine: Machine }): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const form = useForm({
    form: "facts",
    of: machine.id,
    source: machine,
    modelOf: modelOfMachine,
    labels: FACTS_LABELS,
    problemsOf: (model) =>
      factsProblems(
        model,
        machine,
        machines.map((one) => one.machine),
      ),
    problemWords: factsProblemWords,
  });
  const { field } = form;
  const { keep, failure } = useKeep();
  const said = useFactsSaid();
  return (
    <FormBody
      form={form}
      onSave={(model, before) => keep("machines", before, machineOf(model, before))}
      failure={failure}
      said={said}
      className="max-w-[76rem] space-y-7"
      foot={
        <FormFoot>
          <button type="submit" className={PRIMARY_BUTTON}>
            Save the facts
          </button>
        </FormFoot>
      }
    >
      <WhatItIs form={form} />
      <DutyFields form={form} />
      <LaidUpFields {...field("laidUp")} />
      <NeededFields {...field("needed")} />
      <div className="grid max-w-3xl gap-x-6 gap-y-3 sm:grid-cols-2">
        <TextField
          note="before anything is done; left empty, as in the weights of visits"
          {...field("visitCost")}
        />
        <TextField note={NEEDS_NOTE} {...field("bayNeeds")} />
      </div>
      <RunningInFields {...field("runningIn")} meters={machine.meters ?? []} />
      <NoteField {...field("note")} />
      <PicturesField {...field("pictures")} />
    </FormBody>
  );
}

/** Places and people by their names. */
function useFactsSaid(): Said<FactsModel> {
  const { storage } = useBook();
  const places = useLiveQuery(() => storage.list("places"), [storage]) ?? [];
  const people = useLiveQuery(() => storage.list("people"), [storage]) ?? [];
  const nameIn =
    (named: readonly { readonly id: string; readonly name: string }[]) =>
    (id: string): string =>
      named.find((one) => one.id === id)?.name ?? "nothing";
  return {
    place: nameIn(places),
    person: nameIn(people),
    gallons: (value: string) => GALLON_CHOICES.find(([one]) => one === value)?.[1] ?? value,
    flags: (flags: FactsModel["flags"]) => valueWords(flags.map((flag) => DUTY_WORDS[flag])),
    laidUp: (rows: FactsModel["laidUp"]) => valueWords(rows.map(standsWords)),
    needed: (rows: FactsModel["needed"]) => valueWords(rows.map(standsWords)),
    pictures: (pictures: readonly unknown[]) => counted(pictures.length, "picture"),
  };
}

function WhatItIs({
  form: { model, field },
}: {
  readonly form: FormInHand<FactsModel, Machine>;
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
      <TextField isMono {...field("tag")} />
      <TextField {...field("name")} />
      <TextField offered={KINDS} {...field("kind")} />
      <SelectField choices={[["", "not recorded"], ...placeChoices]} {...field("place")} />
      <SelectField choices={[["", "not recorded"], ...personChoices]} {...field("person")} />
      <div className="sm:col-span-2">
        <TextField {...field("description")} />
      </div>
      <div className="sm:col-span-2">
        <TextField {...field("variant")} />
      </div>
      <div className="sm:col-span-2">
        <TextField isMono note={doubt === null ? "" : vinDoubtWords(doubt)} {...field("vin")} />
      </div>
      <TextField isMono {...field("serial")} />
      <TextField isMono {...field("registration")} />
      <DayField {...field("inService")} />
      <DayField {...field("acquired")} />
      <SelectField choices={HISTORY_CHOICES} {...field("history")} />
      <SelectField choices={GALLON_CHOICES} {...field("gallons")} />
    </section>
  );
}
