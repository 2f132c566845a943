import type { RecordOf } from "../records/recordSchemas.js";
import type { Section } from "../records/sections.js";

/** One record put, replaced or removed: what stood before and what stands after; null where nothing does. */
export interface RecordChange<S extends Section = Section> {
  readonly section: S;
  readonly id: string;
  readonly before: RecordOf[S] | null;
  readonly after: RecordOf[S] | null;
}

/** One field of the book itself set, such as its settings: what stood before and what stands after; null where nothing does. */
export interface FieldChange {
  readonly key: string;
  readonly before: unknown;
  readonly after: unknown;
}

/**
 * A change to a book as plain data. The same shape serves storage, undo, other tabs and merging:
 * it can be reversed, squashed and written to a file.
 */
export interface Change {
  /** The command that made it, such as "log-work". */
  readonly command: string;
  readonly records: readonly RecordChange[];
  /** Fields of the book outside its sections of records. */
  readonly fields?: readonly FieldChange[];
  /** On the change that takes another back (and not on one that makes it again): whether that one had left this copy in a file. */
  readonly undoes?: { readonly wasHandedOver: boolean };
}

/** The fields a change sets, none where it names none. */
export function fieldsOf(change: Change): readonly FieldChange[] {
  return change.fields ?? [];
}

/** A record to be added by a change. */
export function put<S extends Section>(section: S, record: RecordOf[S]): RecordChange<S> {
  return { section, id: record.id, before: null, after: record };
}

/** The change that takes another back. */
export function reversed(change: Change): Change {
  return {
    command: change.command,
    records: change.records
      .map((record) => ({ ...record, before: record.after, after: record.before }))
      .reverse(),
    ...withFields(
      fieldsOf(change)
        .map((field) => ({ ...field, before: field.after, after: field.before }))
        .reverse(),
    ),
  };
}

/** One change in place of several made one after the other; records that end where they began drop out. */
export function squashed(changes: readonly Change[], command: string): Change {
  const byPlace = new Map<string, RecordChange>();
  for (const record of changes.flatMap((change) => change.records)) {
    const place = JSON.stringify([record.section, record.id]);
    const earlier = byPlace.get(place);
    byPlace.set(place, earlier === undefined ? record : { ...record, before: earlier.before });
  }
  const records = [...byPlace.values()].filter(
    (record) => JSON.stringify(record.before) !== JSON.stringify(record.after),
  );
  const byKey = new Map<string, FieldChange>();
  for (const field of changes.flatMap(fieldsOf)) {
    byKey.set(field.key, { ...field, before: (byKey.get(field.key) ?? field).before });
  }
  return { command, records, ...withFields([...byKey.values()]) };
}

function withFields(fields: readonly FieldChange[]): Pick<Change, "fields"> {
  return fields.length === 0 ? {} : { fields };
}

type Sections = Readonly<Partial<{ [S in Section]: readonly RecordOf[S][] }>>;

/** A book with a change made to it; records keep their places, new ones come last in their section. */
export function applyChange<B extends Sections>(book: B, change: Change): B {
  return applyChanges(book, [change]);
}

/** A book with changes made to it one after the other, as {@link applyChange} makes each: a section is gone through once, however many they are. */
export function applyChanges<B extends Sections>(book: B, changes: readonly Change[]): B {
  const held = new Map<Section, Map<string, RecordOf[Section]>>();
  for (const { section, id, after } of changes.flatMap(({ records }) => records)) {
    const byId =
      held.get(section) ?? new Map((book[section] ?? []).map((record) => [record.id, record]));
    held.set(section, byId);
    if (after === null) byId.delete(id);
    else byId.set(id, after);
  }
  const changed = new Map([...held].map(([section, byId]) => [section, [...byId.values()]]));
  return withFieldsSet({ ...book, ...Object.fromEntries(changed) }, changes.flatMap(fieldsOf));
}

/** A copy with fields set; one set to null is left out. */
export function withFieldsSet<B extends object>(book: B, fields: readonly FieldChange[]): B {
  const changed = new Map<string, unknown>(Object.entries(book));
  for (const { key, after } of fields) {
    if (after === null) changed.delete(key);
    else changed.set(key, after);
  }
  return Object.fromEntries(changed) as B;
}
