import type { Visit } from "@yonderfell/core";
import { Check } from "lucide-react";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { textTyped } from "../../../form/typed.js";
import { useForm } from "../../../form/useForm.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { TextField } from "../../../ui/fields.js";
import type { VisitChanges } from "./useVisitChanges.js";
import type { ListedVisit } from "./visitModel.js";

interface NoteModel {
  readonly note: string;
}

const LABELS = { note: "Note" };
const modelOf = ({ note }: Visit): NoteModel => ({ note: textTyped(note) });
/** A note may say anything. */
const problemsOf = (): readonly never[] => [];
const problemWords = (_: never): string => "";

/** What is said of a visit of the book; kept when it is said so. */
export function VisitNote({
  held,
  visit,
  changes,
}: {
  /** The visit as the book holds it. */
  readonly held: Visit;
  readonly visit: ListedVisit;
  readonly changes: Pick<VisitChanges, "note">;
}): ReactElement {
  const form = useForm({
    form: "visitNote",
    of: held.id,
    source: held,
    modelOf,
    labels: LABELS,
    problemsOf,
    problemWords,
  });
  return (
    <FormBody
      form={form}
      onSave={({ note }) => changes.note(visit, note)}
      failure=""
      className="flex max-w-2xl flex-wrap items-end gap-3"
      foot={
        form.isTouched && (
          <button type="submit" className={QUIET_BUTTON}>
            <Check size={18} aria-hidden="true" />
            Keep the note
          </button>
        )
      }
    >
      <div className="min-w-64 flex-1">
        <TextField {...form.field("note")} />
      </div>
    </FormBody>
  );
}
