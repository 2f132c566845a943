import { CHECKLIST_LIBRARY, type Checklist } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { FormBody } from "../../../form/FormBody.js";
import { TakeOut } from "../../../form/TakeOut.js";
import { useForm } from "../../../form/useForm.js";
import { useBook } from "../../../session/openBook.js";
import { useKeep } from "../../../session/useKeep.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { NoteField, TextField } from "../../../ui/fields.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { RoundsFrame } from "../RoundsFrame.js";
import { ChecksField } from "./ChecksField.js";
import {
  checklistModel,
  checklistOf,
  checklistProblems,
  copyOf,
  type ChecklistModel,
} from "./checklistModel.js";
import { CHECKLIST_LABELS, checklistProblemWords } from "./checklistWords.js";

const ALL = "/rounds/checklists";

/** A checklist that is made, copied from another, or changed; one of the library comes into the book as it is saved. */
export default function ChecklistPage(): ReactElement | null {
  const { checklistId = "" } = useParams();
  const [search] = useSearchParams();
  const { storage } = useBook();
  const own = useLiveOf("checklists", () => storage.list("checklists"), [storage]);
  const after = search.get("after");
  if (own === undefined) return null;
  const find = (id: string): Checklist | undefined =>
    own.find((one) => one.id === id) ?? CHECKLIST_LIBRARY.find((one) => one.id === id);
  if (checklistId === "new") {
    const other = after === null ? undefined : find(after);
    return <ChecklistForm key={after ?? ""} held={null} after={other ?? null} />;
  }
  const found = find(checklistId);
  if (found === undefined) {
    return (
      <RoundsFrame title="Checklist">
        <p>
          The book has no such checklist.{" "}
          <Link to={ALL} className="text-clear underline">
            All checklists
          </Link>
        </p>
      </RoundsFrame>
    );
  }
  const held = own.find((one) => one.id === checklistId) ?? null;
  return <ChecklistForm key={checklistId} held={held} after={held === null ? found : null} />;
}

/** The places of checks in which something is to be put right. */
function wrongChecks(model: ChecklistModel): ReadonlySet<number> {
  const within = checklistProblems(model).filter(({ field }) => field.startsWith("checks."));
  return new Set(within.map(({ field }) => Number(field.split(".")[1])));
}

/** The form of a checklist, and what a new one is made after. */
function useChecklistForm(address: string, held: Checklist | null, after: Checklist | null) {
  const [base] = useState(() => {
    if (after === null) return null;
    return address === "new" ? copyOf(after, `${after.name}, our own`) : after;
  });
  const form = useForm({
    form: "checklist",
    of: held?.id ?? (after === null ? "new" : `${address} ${after.id}`),
    source: held,
    modelOf: (source: Checklist | null) => checklistModel(source ?? base),
    labels: CHECKLIST_LABELS,
    problemsOf: checklistProblems,
    problemWords: checklistProblemWords,
  });
  return { form, base };
}

/** `held` is what the book has; `after` what a new one begins with: another list, or one of the library under its own id. */
function ChecklistForm({
  held,
  after,
}: {
  readonly held: Checklist | null;
  readonly after: Checklist | null;
}): ReactElement {
  const { checklistId = "new" } = useParams();
  const { form, base } = useChecklistForm(checklistId, held, after);
  const { keep, failure } = useKeep();
  const navigate = useNavigate();
  const store = async (before: Checklist | null, list: Checklist | null): Promise<boolean> => {
    const isSaved = await keep("checklists", before, list);
    if (isSaved) await navigate(ALL);
    return isSaved;
  };
  const { model, field } = form;
  const wrong = form.tried === 0 ? new Set<number>() : wrongChecks(model);
  const title = model.name.trim() === "" ? "A new checklist" : model.name;
  return (
    <RoundsFrame title={title}>
      {held === null && after !== null && (
        <p className="mb-3 text-quiet">
          {checklistId === "new"
            ? `After “${after.name}”, which stays as it is.`
            : "Of the library: saved, it is this book’s and stands in place of the library’s."}
        </p>
      )}
      <FormBody
        form={form}
        onSave={(typed, before) => store(before, checklistOf(typed, before ?? base))}
        failure={failure}
        className="max-w-[76rem] space-y-5"
        foot={
          <FormFoot>
            <button type="submit" className={PRIMARY_BUTTON}>
              Save the checklist
            </button>
            <Link to={ALL} className={QUIET_BUTTON} onClick={form.startAfresh}>
              Leave it as it was
            </Link>
            {held !== null && <TakeOut onTakeOut={() => void store(form.source, null)} />}
          </FormFoot>
        }
      >
        <div className="grid gap-x-5 gap-y-2 sm:grid-cols-3">
          <TextField autoFocus={held === null} isRequired {...field("name")} />
          <TextField {...field("when")} />
          <TextField {...field("kinds")} />
        </div>
        <section aria-label={CHECKLIST_LABELS.checks}>
          <h2 className="text-large font-bold">{CHECKLIST_LABELS.checks}</h2>
          <ChecksField {...field("checks")} wrong={wrong} />
        </section>
        <NoteField {...field("note")} />
      </FormBody>
    </RoundsFrame>
  );
}
