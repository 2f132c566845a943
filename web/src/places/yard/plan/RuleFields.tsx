import { SCHOOLS, type Machine, type Task } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { CheckField, SelectField, TextField } from "../../../ui/fields.js";
import type { FormInHand } from "../../../form/useForm.js";
import { RowsField } from "../../../form/RowsField.js";
import { meterName } from "../../../words/limitWords.js";
import { LimitFields } from "./LimitFields.js";
import { emptyLimit } from "./limitModel.js";
import type { Measure } from "./measures.js";
import { type TaskModel } from "./taskModel.js";
import { Terms } from "../../../ui/Term.js";

interface RuleProps {
  readonly form: FormInHand<TaskModel, Task | null>;
  readonly machine: Machine;
  /** The machine's other tasks. */
  readonly others: readonly Task[];
  /** What rounds measure on it. */
  readonly measures: readonly Measure[];
}

const TIES = [
  ["own", "by limits of its own"],
  ["nth", "with every so many turns of another task"],
  ["follows", "once after another task was done"],
] as const;

/** When a task is due: by limits of its own, with another task, or after it. */
export function RuleFields(props: RuleProps): ReactElement {
  const { model, field } = props.form;
  return (
    <section aria-labelledby="when" className="space-y-3">
      <h2 id="when" className="text-large font-bold">
        When
      </h2>
      <div className="max-w-[24rem]">
        <SelectField choices={TIES} {...field("tie")} />
      </div>
      {model.tie === "own" && <OwnLimits {...props} />}
      {model.tie === "nth" && <NthFields {...props} />}
      {model.tie === "follows" && <FollowsFields {...props} />}
    </section>
  );
}

const ANCHORS = [
  ["done", "from when it was last done"],
  ["grid", "on fixed points, whenever it was done"],
] as const;
const COMBINE = [
  ["first", "whichever comes first"],
  ["last", "whichever comes last"],
] as const;
const EACH_USE = [
  ["", "no"],
  ["before", "before each use"],
  ["after", "after each use"],
] as const;

function OwnLimits({ form, machine, measures }: RuleProps): ReactElement {
  const { model, field } = form;
  const first = machine.meters?.[0]?.id ?? "months";
  const names = model.regimes.map(({ name }) => name);
  const next = SCHOOLS.find((school) => !names.includes(school)) ?? "";
  return (
    <>
      <div className="grid gap-x-5 sm:grid-cols-3">
        <SelectField choices={ANCHORS} {...field("anchor")} />
        <SelectField choices={COMBINE} {...field("combine")} />
        <SelectField choices={EACH_USE} {...field("eachUse")} />
      </div>
      <Terms words={["school", "grace", "turn"]} />
      <RowsField
        {...field("regimes")}
        keyOf={(row) => row.key}
        noun="school"
        empty={() => ({ key: newId(), name: next, forLife: false, limits: [emptyLimit(first)] })}
      >
        {(row, regimeField) => (
          <>
            <div className="grid items-end gap-x-5 sm:grid-cols-[14rem_1fr]">
              <TextField label="School" offered={SCHOOLS} {...regimeField("name")} />
              <CheckField label="For life: no date by it" {...regimeField("forLife")} />
            </div>
            {!row.forLife && (
              <LimitFields
                machine={machine}
                measures={measures}
                isGrid={model.anchor === "grid"}
                usesFluid={model.uses.length > 0}
                {...regimeField("limits")}
              />
            )}
          </>
        )}
      </RowsField>
      <div className="grid gap-x-5 sm:grid-cols-[14rem_1fr]">
        <TextField offered={names} {...field("regime")} />
        <TextField {...field("regimeReason")} />
      </div>
    </>
  );
}

function choicesOf(tasks: readonly Task[]): (readonly [string, string])[] {
  return [["", "choose a task"], ...tasks.map((task) => [task.id as string, task.name] as const)];
}

function NthFields({ form: { field }, others }: RuleProps): ReactElement {
  const free = others.filter((task) => !task.nth && !task.follows);
  return (
    <div className="grid gap-x-5 sm:grid-cols-[10rem_1fr]">
      <TextField isMono {...field("nthEvery")} />
      <SelectField choices={choicesOf(free)} {...field("nthOf")} />
    </div>
  );
}

function FollowsFields({ form: { field }, others, machine }: RuleProps): ReactElement {
  const by = [
    ["days", "days"] as const,
    ...(machine.meters ?? []).map(
      (meter) => [meter.id as string, `${meter.unit} of the ${meterName({ meter })}`] as const,
    ),
  ];
  const free = others.filter((task) => !task.follows);
  return (
    <div className="grid gap-x-5 sm:grid-cols-[8rem_12rem_1fr]">
      <TextField isMono {...field("followsAmount")} />
      <SelectField choices={by} {...field("followsBy")} />
      <SelectField choices={choicesOf(free)} {...field("followsTask")} />
    </div>
  );
}
