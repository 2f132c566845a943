import type { RecordOf } from "../book/records/recordSchemas.js";
import type { Removed } from "../book/change/removedSchema.js";
import type { FieldChange, RecordChange } from "../book/change/change.js";
import type { DatedSection, Section } from "../book/records/sections.js";

/** Which of two copies of a book something is taken from: the one at hand, or the one handed over. */
export type Side = "ours" | "theirs";

/** A value that differs between the two copies. */
export interface DifferingField {
  readonly name: string;
  /** Null where that copy has none. */
  readonly ours: unknown;
  readonly theirs: unknown;
}

/** Something that was changed in both copies apart, for a person to choose. */
export type Conflict =
  /** One record with different contents. Chosen field by field, under the keys of `keyOfField`. */
  | {
      readonly code: "changed-apart";
      readonly key: string;
      readonly section: Section;
      readonly id: string;
      readonly ours: RecordOf[Section];
      readonly theirs: RecordOf[Section];
      readonly fields: readonly DifferingField[];
    }
  /**
   * Records that cannot all stand: corrections of one record, two changes of one meter on one date, or corrections that
   * the two copies put in different orders (`settled-apart`). `ours` and `theirs` are those that stand in each copy,
   * `members` all that hang together with them. The one not chosen stays in the history.
   */
  | {
      readonly code: "both-corrected" | "both-changed-meter" | "settled-apart";
      readonly key: string;
      readonly section: DatedSection;
      readonly ours: RecordOf[DatedSection];
      readonly theirs: RecordOf[DatedSection];
      readonly members: readonly string[];
    }
  /** Deleted in one copy, changed in the other since. */
  | {
      readonly code: "deleted-apart";
      readonly key: string;
      readonly section: Section;
      readonly id: string;
      /** Null in the copy that has deleted it. */
      readonly ours: RecordOf[Section] | null;
      readonly theirs: RecordOf[Section] | null;
      readonly removal: Removed;
    }
  /** A field of the book itself, such as its settings. */
  | {
      readonly code: "field-changed-apart";
      readonly key: string;
      readonly field: string;
      readonly ours: unknown;
      readonly theirs: unknown;
    };

/** What a hand-over would do to the copy at hand. */
export interface MergePlan {
  /** Records that only the other copy has. */
  readonly added: readonly RecordChange[];
  /** Records that only the other copy has changed. */
  readonly changed: readonly RecordChange[];
  /** Records that only the other copy has deleted. */
  readonly removed: readonly RecordChange[];
  /** Records that both hold alike and whose counts of changes are joined; nothing a person sees. */
  readonly joined: readonly RecordChange[];
  /** Fields of the book that only the other copy has, or has changed. */
  readonly fields: readonly FieldChange[];
  readonly conflicts: readonly Conflict[];
}

/** Under which key the choice for one field of a record is kept. */
export function keyOfField(conflict: { readonly key: string }, field: DifferingField): string {
  return `${conflict.key} ${field.name}`;
}

/** The keys of all choices a conflict asks for. */
export function choicesOf(conflict: Conflict): string[] {
  return conflict.code === "changed-apart"
    ? conflict.fields.map((field) => keyOfField(conflict, field))
    : [conflict.key];
}

/** Whether a hand-over would change nothing at all. */
export function isEmptyPlan(plan: MergePlan): boolean {
  return Object.values(plan).every((part: readonly unknown[]) => part.length === 0);
}
