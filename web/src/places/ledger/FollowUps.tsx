import type { BoardMachine, OwedFollowUp } from "@yonderfell/core";
import { RadioGroup } from "radix-ui";
import type { ReactElement } from "react";
import { listOfWords } from "../../words/format.js";
import type { FollowUpsAnswer } from "./logModel.js";

/** Asks whether what follows work of an earlier day was done with it. */
export function FollowUps({
  owed,
  machine,
  answer,
  onAnswer,
}: {
  readonly owed: readonly OwedFollowUp[];
  readonly machine: BoardMachine;
  readonly answer: FollowUpsAnswer;
  readonly onAnswer: (answer: FollowUpsAnswer) => void;
}): ReactElement | null {
  if (owed.length === 0) return null;
  const names = owed.map(
    ({ task }) => machine.tasks.find((one) => one.task.id === task)?.task.name ?? "",
  );
  const [was, itIs] = owed.length === 1 ? ["Was", "it is"] : ["Were", "they are"];
  return (
    <div
      className="border-l-4 border-soon bg-raised px-4 py-3"
      role="group"
      aria-labelledby="follow-ups"
    >
      <p id="follow-ups">
        <strong>{`${listOfWords(names)} followed this work.`}</strong>{" "}
        {`${was} ${owed.length === 1 ? "that" : "those"} done too?`}
      </p>
      <RadioGroup.Root
        value={answer}
        onValueChange={(value) => onAnswer(value as FollowUpsAnswer)}
        aria-labelledby="follow-ups"
        className="mt-2 grid gap-1"
      >
        <Choice value="done" label="Yes" rest="a separate entry takes it as done, as assumed" />
        <Choice value="owed" label="No" rest={`${itIs} still to be done`} />
      </RadioGroup.Root>
    </div>
  );
}

function Choice({
  value,
  label,
  rest,
}: {
  readonly value: FollowUpsAnswer;
  readonly label: string;
  readonly rest: string;
}): ReactElement {
  return (
    <label className="flex min-h-11 items-center gap-3 max-sm:min-h-12">
      <RadioGroup.Item
        value={value}
        className="grid size-5 shrink-0 place-items-center rounded-full border-2 border-rule"
      >
        <RadioGroup.Indicator className="size-2.5 rounded-full bg-clear" />
      </RadioGroup.Item>
      <span>
        {label}
        <span className="text-quiet">: {rest}</span>
      </span>
    </label>
  );
}
