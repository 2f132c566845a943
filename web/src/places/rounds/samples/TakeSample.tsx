import {
  correctSample,
  currentRecords,
  dayOf,
  parseDay,
  plateNow,
  takeSample,
  type MachineId,
  type Sample,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { FormBody } from "../../../form/FormBody.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { sentence } from "../../../words/format.js";
import { RoundsFrame } from "../RoundsFrame.js";
import { sampleIssueWords } from "./sampleWords.js";
import {
  livesOf,
  modelOfSample,
  newSample,
  sampleOf,
  takeProblems,
  takeProblemWords,
  type TakeAround,
  type TakeModel,
} from "./takeModel.js";
import { systemPath } from "../../shared/paths.js";

const LABELS: Readonly<Record<keyof TakeModel, string>> = {
  fluid: "Which fluid",
  date: "Taken on",
  label: "Label on the bottle",
  life: "Machine at",
  oilLife: "The oil has run",
  lab: "Laboratory",
  note: "Note",
};

/** Writes down that a fluid was sampled: which machine, which system, how old the oil is. */
export default function TakeSample(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const machines = useAppSelector((state) => state.board.machines);
  const today = useAppSelector((state) => state.session.today);
  const id = search.get("machine") ?? "";
  const corrected = search.get("corrects") ?? "";
  const { storage } = useBook();
  const read = async (): Promise<TakeAround | null> => {
    const [book, plate, own, settings] = await Promise.all([
      storage.machineBook(id as MachineId),
      storage.plate(id as MachineId),
      storage.ofMachine(id as MachineId, ["samples"]),
      storage.settings(),
    ]);
    if (book === null) return null;
    const samples = currentRecords(own.samples).map(({ record }) => record);
    const corrects = samples.find((sample) => sample.id === corrected) ?? null;
    const { fluids } = plateNow(plate, book, today);
    return { book, settings, today, fluids, samples, corrects };
  };
  const around = useLiveOf(`${id} ${corrected}`, read, [storage, today]);
  const choices = machines.map(
    ({ machine }) => [machine.id, `${machine.tag} ${machine.name}`] as const,
  );
  return (
    <RoundsFrame title={corrected === "" ? "Take a sample" : "Correct a sample"}>
      <div className="max-w-2xl">
        <p className="mb-3 text-quiet">
          Warm, after it has run; from the middle of the drain, or by a pump at half depth; into a
          clean, dry bottle. Hot oil burns: gloves, and the cap of a pressed system stays shut.
        </p>
        <SelectField
          label="Machine"
          value={id}
          choices={[["", "choose a machine"] as const, ...choices]}
          onChange={(machine) => setSearch({ machine }, { replace: true })}
        />
        {around && around.fluids.length > 0 && (
          <Form key={`${id} ${corrected}`} around={around} wanted={search.get("fluid") ?? ""} />
        )}
        {around && around.fluids.length === 0 && (
          <p className="py-3 text-quiet">
            Its plate has no fluids yet: add the system there first.
          </p>
        )}
      </div>
    </RoundsFrame>
  );
}

function useSampleForm(around: TakeAround, wanted: string): FormInHand<TakeModel, Sample | null> {
  const { book, corrects } = around;
  const [machine] = book.machines;
  return useForm({
    form: "sample",
    of: corrects?.id ?? `new ${machine.id} ${wanted}`,
    source: corrects,
    modelOf: (source): TakeModel =>
      source === null ? newSample(around, wanted) : modelOfSample(source),
    labels: LABELS,
    problemsOf: (model) => takeProblems(model, around),
    problemWords: takeProblemWords,
  });
}

/** Writes a sample down, or corrects it; answers whether that is done, and goes to its system. */
function useTaking(around: TakeAround): {
  readonly take: (typed: TakeModel) => Promise<boolean>;
  readonly failure: string;
} {
  const { book, corrects } = around;
  const [machine] = book.machines;
  const navigate = useNavigate();
  const { run, failure } = useCommands(sampleIssueWords);
  const take = async (typed: TakeModel): Promise<boolean> => {
    const saved = await run(
      (storage, context) =>
        storage.perform(
          machine.id,
          ["samples", "fluids"],
          (slice, inside) =>
            corrects === null
              ? takeSample(slice, sampleOf(typed, around), inside)
              : correctSample(slice, corrects.id, sampleOf(typed, around), inside),
          context,
        ),
      corrects === null ? "Written down." : "Corrected.",
    );
    if (saved !== null) await navigate(systemPath(machine.id, typed.fluid));
    return saved !== null;
  };
  return { take, failure };
}

function Form({
  around,
  wanted,
}: {
  readonly around: TakeAround;
  readonly wanted: string;
}): ReactElement {
  const { book, fluids, corrects } = around;
  const [machine] = book.machines;
  const { take, failure } = useTaking(around);
  const form = useSampleForm(around, wanted);
  const { field, model, set } = form;
  // What the log says of another system or day takes the place of what it said of this one.
  const anew = (patch: Partial<TakeModel>): void => {
    const next = { ...model, ...patch };
    const day = parseDay(next.date);
    set({ ...patch, ...(day === null ? {} : livesOf(around, next.fluid, dayOf(next.date))) });
  };
  const unit = machine.meters?.[0]?.unit ?? "";
  return (
    <FormBody
      form={form}
      onSave={take}
      failure={failure}
      className="mt-3 grid gap-x-5 gap-y-3 sm:grid-cols-2"
      foot={
        <div className="sm:col-span-2">
          <button type="submit" className={PRIMARY_BUTTON}>
            {corrects === null ? "Write it down" : "Save the correction"}
          </button>
        </div>
      }
    >
      <SelectField
        {...field("fluid")}
        choices={fluids.map((one) => [one.id, sentence(one.system)] as const)}
        onChange={(fluid) => anew({ fluid })}
      />
      <DayField {...field("date")} onChange={(date) => anew({ date })} />
      <TextField isMono isRequired {...field("label")} />
      <TextField {...field("lab")} />
      <TextField isMono {...field("life")} note={unit} />
      <TextField isMono {...field("oilLife")} note={`${unit}, since it was renewed`} />
      <div className="sm:col-span-2">
        <NoteField {...field("note")} />
      </div>
    </FormBody>
  );
}
