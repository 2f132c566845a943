import { fieldsOf, reversed, type Change } from "./change.js";
import { tapTakenBack, type TakingBack } from "./takenBackTap.js";
import { joinedRevisions, nextRevision, revisionOf, withRevision } from "../records/revision.js";

/** Commands that tell of a job. */
const TELLING: ReadonlySet<string> = new Set([
  ...(["tap-job", "undo-tap", "take-up-job", "put-down-job"] as const),
]);

/**
 * The change that takes another back. Where that one had already left this copy in a file
 * (`wasHandedOver`), what it restores counts as a change of its own, so that the next hand-over
 * carries it on; else the book is as though it had never been made. What was told of a job here is never removed: an undo of it
 * is added (job rules §1); what a hand-over brought is as it was before it.
 */
export function takenBack(
  change: Change,
  wasHandedOver: boolean,
  copy: string,
  around: TakingBack,
): Change {
  const isTold = TELLING.has(change.command);
  const taps = change.records.map((record) => (isTold ? tapTakenBack(record, around) : null));
  const others = change.records.filter((_, at) => (taps[at] ?? null) === null);
  const back = othersTakenBack({ ...change, records: others }, wasHandedOver, copy);
  return { ...back, records: [...back.records, ...taps.flatMap((tap) => tap ?? [])] };
}

function othersTakenBack(change: Change, wasHandedOver: boolean, copy: string): Change {
  const undoes = change.undoes === undefined ? { undoes: { wasHandedOver } } : {};
  const back = { ...reversed(change), ...undoes };
  if (!wasHandedOver) return back;
  const counted = (before: unknown, after: object): object =>
    withRevision(after, nextRevision(joinedRevisions(revisionOf(before), revisionOf(after)), copy));
  const records = back.records.map((record) => {
    if (record.after === null) return record;
    // What had been deleted follows from its deletion, which was itself a change.
    const before = record.before ?? counted(record.after, record.after);
    return { ...record, after: counted(before, record.after) as typeof record.after };
  });
  const fields = fieldsOf(back).map((field) =>
    typeof field.after === "object" && field.after !== null && !Array.isArray(field.after)
      ? { ...field, after: counted(field.before, field.after) }
      : field,
  );
  return { ...back, records, ...(fields.length === 0 ? {} : { fields }) };
}
