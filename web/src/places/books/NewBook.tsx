import { BookPlus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { createBook } from "../../data/books.js";
import { FormBody } from "../../form/FormBody.js";
import { useForm } from "../../form/useForm.js";
import { goToBook } from "../../session/goToBook.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { TextField } from "../../ui/fields.js";
import { errorWords } from "../../words/errorWords.js";
import { bookNameProblems, bookNameProblemWords, type BookNameModel } from "./bookNameModel.js";

const LABELS = { name: "Name of a new book" };
const modelOf = (_: null): BookNameModel => ({ name: "" });

/** Makes a book that holds nothing yet, under a name. */
export function NewBook(): ReactElement {
  const [failure, setFailure] = useState("");
  const form = useForm({
    form: "newBook",
    of: "new",
    source: null,
    modelOf,
    labels: LABELS,
    problemsOf: bookNameProblems,
    problemWords: bookNameProblemWords,
    isForNext: true,
  });
  const make = async ({ name }: BookNameModel): Promise<boolean> => {
    try {
      const made = await createBook(name.trim());
      // What is typed is saved; the page that follows asks for it no more.
      void goToBook(made).catch((error: unknown) => setFailure(failureWords(error)));
      return true;
    } catch (error) {
      setFailure(failureWords(error));
      return false;
    }
  };
  return (
    <FormBody
      form={form}
      onSave={make}
      failure={failure}
      className="max-w-md space-y-3"
      foot={
        <button type="submit" className={QUIET_BUTTON}>
          <BookPlus size={18} aria-hidden="true" />
          Make the book
        </button>
      }
    >
      <TextField {...form.field("name")} />
    </FormBody>
  );
}

const failureWords = (error: unknown): string =>
  `The book could not be made: ${errorWords(error)}.`;
