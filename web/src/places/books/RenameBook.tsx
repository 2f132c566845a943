import { useState, type ReactElement } from "react";
import { amend, type BookEntry } from "../../data/registry.js";
import { FormBody } from "../../form/FormBody.js";
import { useForm } from "../../form/useForm.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { TextField } from "../../ui/fields.js";
import { errorWords } from "../../words/errorWords.js";
import { bookNameProblems, bookNameProblemWords, type BookNameModel } from "./bookNameModel.js";

const LABELS = { name: "Name of the book" };
const modelOf = ({ name }: BookEntry): BookNameModel => ({ name });

/** Gives a book of this browser another name. */
export function RenameBook({
  entry,
  onDone,
}: {
  readonly entry: BookEntry;
  readonly onDone: () => void;
}): ReactElement {
  const [failure, setFailure] = useState("");
  const form = useForm({
    form: "renameBook",
    of: entry.id,
    source: entry,
    modelOf,
    labels: LABELS,
    problemsOf: bookNameProblems,
    problemWords: bookNameProblemWords,
  });
  const rename = async ({ name }: BookNameModel): Promise<boolean> => {
    try {
      await amend(entry.id, { name: name.trim() });
    } catch (error) {
      setFailure(`It keeps its name: ${errorWords(error)}.`);
      return false;
    }
    onDone();
    return true;
  };
  return (
    <FormBody
      form={form}
      onSave={rename}
      failure={failure}
      className="max-w-md space-y-3 pb-2"
      foot={
        <div className="flex gap-3">
          <button type="submit" className={QUIET_BUTTON}>
            Keep the name
          </button>
          <button type="button" className={QUIET_BUTTON} onClick={onDone}>
            Cancel
          </button>
        </div>
      }
    >
      <TextField autoFocus {...form.field("name")} />
    </FormBody>
  );
}
