import type { BoardMachine, OwedFollowUp } from "@yonderfell/core";
import { RadioGroup } from "radix-ui";
import type { ReactElement } from "react";
import { RadioChoice } from "../../../ui/RadioChoice.js";
import { listOfWords } from "../../../words/format.js";
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
  const isOne = owed.length === 1;
  return (
    <FollowUpsAsked
      what={`${listOfWords(names)} followed this work.`}
      isOne={isOne}
      answer={answer}
      onAnswer={onAnswer}
    />
  );
}

/** The question itself, of one entry or of many. */
export function FollowUpsAsked({
  what,
  isOne,
  answer,
  onAnswer,
}: {
  readonly what: string;
  readonly isOne: boolean;
  readonly answer: FollowUpsAnswer;
  readonly onAnswer: (answer: FollowUpsAnswer) => void;
}): ReactElement {
  return (
    <div
      className="border-l-4 border-soon bg-raised px-4 py-3"
      role="group"
      aria-labelledby="follow-ups"
    >
      <p id="follow-ups">
        <strong>{what}</strong> {isOne ? "Was that done too?" : "Were those done too?"}
      </p>
      <RadioGroup.Root
        value={answer}
        onValueChange={(value) => onAnswer(value as FollowUpsAnswer)}
        aria-labelledby="follow-ups"
        className="mt-2 grid gap-1"
      >
        <RadioChoice
          value="done"
          label="Yes"
          rest="a separate entry takes it as done, as assumed"
        />
        <RadioChoice
          value="owed"
          label="No"
          rest={`${isOne ? "it is" : "they are"} still to be done`}
        />
      </RadioGroup.Root>
    </div>
  );
}
