import { nextRevision, revisionOf, withRevision, type Change } from "@yonderfell/core";

/**
 * A command's change as it is stored: plain data, and every record it changes counted as changed in
 * this copy, so that a hand-over can tell which version follows from which. A new record has not
 * been changed yet.
 */
export function stamped(change: Change, copy: string): Change {
  const records = change.records.map((record) => {
    if (record.after === null) return record;
    const revision = record.before === null ? {} : nextRevision(revisionOf(record.before), copy);
    const after = JSON.parse(JSON.stringify(withRevision(record.after, revision))) as unknown;
    return { ...record, after: after as typeof record.after };
  });
  return { ...change, records };
}

/** A change to the book's own fields, counted in the same way. */
export function stampedFields(change: Change, copy: string): Change {
  if (change.fields === undefined) return change;
  const fields = change.fields.map((field) =>
    typeof field.after !== "object" || field.after === null || Array.isArray(field.after)
      ? field
      : {
          ...field,
          after: withRevision(field.after, nextRevision(revisionOf(field.before), copy)),
        },
  );
  return { ...change, fields };
}
