import { currentStop, dayOf, type Machine } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { TextField } from "../../../ui/fields.js";
import { fullDate } from "../../../words/format.js";
import { serviceIssueWords } from "../../../words/machineWords.js";
import { RELEASE_LABELS, STOP_LABELS } from "./factsWords.js";
import {
  freshStanding,
  standingCommand,
  standingProblems,
  type StandingModel,
} from "./standingModel.js";

/** Whether a machine may be used: taken out of service with a reason, released by a named person with what was done. */
export function ServiceStanding({ machine }: { readonly machine: Machine }): ReactElement {
  const stop = currentStop(machine);
  const [isAsking, setIsAsking] = useState(false);
  const past = (machine.stops ?? []).filter((one) => (one.released ?? null) !== null);
  return (
    <section aria-labelledby="standing" className="mb-7">
      <h2 id="standing" className="sr-only">
        Whether it may be used
      </h2>
      {stop === null && !isAsking && (
        <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(true)}>
          Take it out of service
        </button>
      )}
      {stop === null && isAsking && <StandingForm key="stop" machine={machine} isRelease={false} />}
      {stop !== null && <StandingForm key="release" machine={machine} isRelease />}
      {past.length > 0 && (
        <ul className="mt-2 text-fine text-quiet">
          {past.map((one) => (
            <li key={one.id}>
              Out of service {fullDate(dayOf(one.since))}
              {one.released ? ` to ${fullDate(dayOf(one.released.on))}` : ""}: {one.reason}.{" "}
              {one.released ? `Released by ${one.released.by}: ${one.released.done}.` : ""}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Takes a machine out of service, or releases it. */
function StandingForm({
  machine,
  isRelease,
}: {
  readonly machine: Machine;
  readonly isRelease: boolean;
}): ReactElement {
  const { storage } = useBook();
  const people = useLiveQuery(() => storage.list("people"), [storage]) ?? [];
  const today = useAppSelector((state) => state.session.today);
  const { run, failure } = useCommands(serviceIssueWords);
  const form = useForm({
    form: "standing",
    of: `${machine.id} ${isRelease ? "release" : "stop"}`,
    source: today,
    modelOf: freshStanding,
    labels: isRelease ? RELEASE_LABELS : STOP_LABELS,
    problemsOf: (model) => standingProblems(model, machine, isRelease, today),
    problemWords: ({ issue }) => serviceIssueWords(issue),
  });
  const { field } = form;
  const names = people.filter((person) => person.hasLeft !== true).map((person) => person.name);
  const save = async (model: StandingModel): Promise<boolean> => {
    const command = standingCommand(model, isRelease, today);
    const saved = await run(
      (book, around) => book.perform(machine.id, [], command, around),
      isRelease ? "It is in service again." : "It is out of service.",
    );
    return saved !== null;
  };
  return (
    <FormBody
      form={form}
      onSave={save}
      failure={failure}
      className="border-l-4 border-overdue bg-raised px-4 py-3"
      foot={null}
    >
      <div className="grid items-start gap-x-6 gap-y-2 sm:grid-cols-[2fr_1fr_1fr_auto]">
        <TextField {...field("words")} />
        <TextField offered={names} {...field("by")} />
        <DateField today={today} {...field("date")} />
        <button type="submit" className={`${PRIMARY_BUTTON} mt-4`}>
          {isRelease ? "Release it for service" : "Take it out of service"}
        </button>
      </div>
    </FormBody>
  );
}
