import {
  choicesOf,
  DECLARED,
  isEmptyPlan,
  REFERRED_SECTIONS,
  type Digested,
  type RuleSection,
  type Section,
  type Side,
} from "@yonderfell/core";
import { Handshake } from "lucide-react";
import { useLiveQuery } from "dexie-react-hooks";
import { useMemo, useState, type ReactElement } from "react";
import { keepTrace } from "../../session/secondTrace.js";
import { notifyChange } from "../../session/notify.js";
import { useBook } from "../../session/openBook.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { changeMade } from "../../session/undo.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { errorWords } from "../../words/errorWords.js";
import { counted } from "../../words/format.js";
import { handOverRefusalWords, namesOf, type NamedRecord } from "../../words/handOverWords.js";
import { IN_DOUBT } from "../../words/traceWords.js";
import type { Comparison } from "../../work/exchange.js";
import { fileIn } from "../../work/exchangeClient.js";
import { ChangedSince } from "../shared/bookFile/ChangedSince.js";
import { ConflictChoice } from "./ConflictChoice.js";
import { WhatComes } from "./WhatComes.js";

type NamedSection = Exclude<Section, RuleSection | "jobs" | "rounds" | "findings">;

/** What others refer to that has a name, and that the board does not name. */
const NAMED = REFERRED_SECTIONS.filter((section): section is NamedSection =>
  ["plate", "planned", "shared", "stores"].includes(DECLARED[section].part),
);

type Choices = ReadonlyMap<string, Side>;

/** What a hand-over would do, the choices it asks for, and the press that does it. */
export function HandOverReview({
  file,
  changed,
  comparison: { plan, isRelated },
  onDone,
}: {
  readonly file: string;
  /** What was changed in the file since it was written. */
  readonly changed: readonly Digested[];
  readonly comparison: Comparison;
  readonly onDone: (words: string) => void;
}): ReactElement {
  const names = useNames(plan);
  const [choices, setChoices] = useState<Choices>(new Map());
  const [isTaken, setIsTaken] = useState(changed.length === 0);
  const { failure, take } = useTake(file, choices, onDone);
  const open = plan.conflicts.flatMap(choicesOf).filter((key) => !choices.has(key));
  if (isEmptyPlan(plan)) {
    return <p>This book already has all that {file} holds. Nothing is to be done.</p>;
  }
  return (
    <div className="max-w-[60rem] space-y-5">
      {!isRelated && <Unrelated file={file} />}
      <ChangedSince changed={changed} isTaken={isTaken} onTake={setIsTaken} />
      <WhatComes plan={plan} names={names} />
      <Conflicts plan={plan} names={names} choices={choices} onChoose={setChoices} />
      {failure !== "" && (
        <p role="alert" className="text-overdue">
          Nothing was taken in. {failure}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="button"
          className={PRIMARY_BUTTON}
          disabled={open.length > 0 || !isTaken}
          onClick={() => void take()}
        >
          <Handshake size={20} aria-hidden="true" />
          Take it in
        </button>
        {open.length > 0 && (
          <span className="text-quiet">{counted(open.length, "choice")} still to make</span>
        )}
      </div>
    </div>
  );
}

/** What the two copies say differently, each with the choice of what stands. */
function Conflicts({
  plan,
  names,
  choices,
  onChoose,
}: {
  readonly plan: Comparison["plan"];
  readonly names: ReadonlyMap<string, string>;
  readonly choices: Choices;
  readonly onChoose: (choices: Choices) => void;
}): ReactElement | null {
  if (plan.conflicts.length === 0) return null;
  return (
    <section aria-labelledby="conflicts">
      <h2 id="conflicts" className="text-large font-bold">
        They differ: choose what stands
      </h2>
      {plan.conflicts.map((conflict) => (
        <ConflictChoice
          key={conflict.key}
          conflict={conflict}
          names={names}
          choices={choices}
          onChoose={(key, side) => onChoose(new Map([...choices, [key, side]]))}
        />
      ))}
    </section>
  );
}

/** Names for what the two copies speak of. */
function useNames(plan: Comparison["plan"]): ReadonlyMap<string, string> {
  const { storage } = useBook();
  const machines = useAppSelector((state) => state.board.machines);
  const known = useLiveQuery(async (): Promise<readonly NamedRecord[]> => {
    const lists = await Promise.all(NAMED.map((section) => storage.list(section)));
    return lists.flat();
  }, [storage]);
  return useMemo(() => namesOf(machines, plan, known), [machines, plan, known]);
}

function Unrelated({ file }: { readonly file: string }): ReactElement {
  return (
    <p role="alert" className="border-l-4 border-due bg-raised px-4 py-2 font-semibold">
      {file} has no machine in common with this book: it is hardly a copy of it. Taking it in would
      add all of it. To keep it apart, open it as a book of its own.
    </p>
  );
}

function useTake(
  file: string,
  choices: Choices,
  onDone: (words: string) => void,
): { readonly failure: string; readonly take: () => Promise<void> } {
  const { entry } = useBook();
  const dispatch = useAppDispatch();
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const takeNow = async (): Promise<void> => {
    const now = new Date().toISOString();
    const result = await fileIn().handOver(entry.database, choices, now);
    if (!result.ok) {
      const [refusal] = result.issues;
      return setFailure(refusal === undefined ? "" : handOverRefusalWords(refusal));
    }
    const { seq, records } = result.value;
    const words = `hand-over of ${counted(records, "record")} from ${file}`;
    dispatch(changeMade({ seq, words }));
    const isCertain = await keepTrace(entry);
    if (isCertain) notifyChange(`Saved: ${words}.`);
    const taken = `${counted(records, "record")} taken in from ${file}`;
    onDone(isCertain ? `${taken}.` : `${IN_DOUBT}: ${taken}.`);
  };
  const take = (): Promise<void> =>
    once(() => takeNow().catch((error: unknown) => setFailure(errorWords(error))));
  return { failure, take };
}
