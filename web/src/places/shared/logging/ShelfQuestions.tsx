import {
  countsBeside,
  countsLess,
  kitRests,
  plainAmount,
  returnFromKit,
  unitOfItem,
  catalogueOf,
  type CommandContext,
  type CommandResult,
  type CountBeside,
  type Entry,
  type KitRest,
  type StockIssue,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useCommands } from "../../../session/useCommands.js";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { counted, listOfWords } from "../../../words/format.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";

/** Why it was not written down: what the book itself refuses. */
const issueWords = (issue: StockIssue): string =>
  "path" in issue ? keepIssueWords(issue) : "Not saved: write it down under Stores, Shelves.";

/** What only a person knows of what work took from the shelves: what is left of a kit, and whether it was done before a count of the same day. */
export function ShelfQuestions({
  entry,
  source,
}: {
  readonly entry: Entry;
  readonly source: WorkSource;
}): ReactElement | null {
  const { parts, products, stockMoves } = source;
  const { run, failure } = useCommands<StockIssue>(issueWords);
  const [isAnswered, setIsAnswered] = useState(false);
  const rests = kitRests(entry, parts, stockMoves);
  const beside = countsBeside(entry, stockMoves, plainAmount);
  const catalogue = catalogueOf({ parts, products });
  const write = (
    command: (context: CommandContext) => CommandResult<StockIssue>,
    told: string,
  ): void =>
    void run(
      (storage, around) =>
        storage.performShared(["stockMoves"], (_slice, context) => command(context), around),
      told,
    );
  if (rests.length === 0 && (beside.length === 0 || isAnswered)) return null;
  return (
    <div className="space-y-3 border-l-4 border-soon py-1 pl-3">
      {rests.length > 0 && (
        <KitsLeft
          rests={rests}
          onBack={(rest) =>
            write((context) => returnFromKit(rest, entry, context), "Back on the shelf.")
          }
        />
      )}
      {beside.length > 0 && !isAnswered && (
        <CountedBefore
          beside={beside}
          nameOf={({ item }) =>
            "part" in item
              ? (catalogue.parts.get(item.part)?.number ?? "")
              : (catalogue.products.get(item.product)?.name ?? "")
          }
          onBefore={() => setIsAnswered(true)}
          onAfter={() =>
            write(
              (context) =>
                countsLess(beside, entry.id, (item) => unitOfItem(item, catalogue), context),
              "The count is corrected by what the work took.",
            )
          }
        />
      )}
      <p role="alert" className="text-due empty:hidden">
        {failure}
      </p>
    </div>
  );
}

function KitsLeft({
  rests,
  onBack,
}: {
  readonly rests: readonly KitRest[];
  readonly onBack: (rest: KitRest) => void;
}): ReactElement {
  const kits = [...new Set(rests.map(({ kit }) => kit.number))];
  return (
    <div>
      <p>
        <strong>What is left of {listOfWords(kits)}?</strong> The seal that fits was used, the other
        remains: press what goes back to the shelf.
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {rests.map((rest) => (
          <button
            key={rest.part.id}
            type="button"
            className={QUIET_BUTTON}
            onClick={() => onBack(rest)}
          >
            {`${rest.count} × ${rest.part.number} ${rest.part.name}`}
          </button>
        ))}
      </div>
    </div>
  );
}

function CountedBefore({
  beside,
  nameOf,
  onBefore,
  onAfter,
}: {
  readonly beside: readonly CountBeside[];
  readonly nameOf: (one: CountBeside) => string;
  readonly onBefore: () => void;
  readonly onAfter: () => void;
}): ReactElement {
  return (
    <div>
      <p>
        <strong>
          {listOfWords(beside.map(nameOf))}{" "}
          {beside.length === 1 ? "was" : `were, ${counted(beside.length, "item")},`} counted on this
          very day.
        </strong>{" "}
        Was this work done before the count, so that the count is right, or after it?
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        <button type="button" className={QUIET_BUTTON} onClick={onBefore}>
          Before: the count is right
        </button>
        <button type="button" className={QUIET_BUTTON} onClick={onAfter}>
          After: take it off the count
        </button>
      </div>
    </div>
  );
}
