import { type BoardView, type Book } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { Trash2 } from "lucide-react";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { boardLookedAt } from "../../../session/boardLook.js";
import { useBook } from "../../../session/openBook.js";
import { preferred } from "../../../session/preferences.js";
import { useAppDispatch, useAppSelector } from "../../../session/store.js";
import { useSettingsChange } from "../../../session/useSettingsChange.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { TextField } from "../../../ui/fields.js";
import { lookWords } from "./boardWords.js";
import { modelOfNewView, viewProblems, type ViewModel } from "./viewModel.js";
import { VIEW_LABELS, viewProblemWords } from "./viewWords.js";
import { lookOf, viewOf, withView } from "./boardViews.js";
import { NO_NAMES, useBoardNames } from "./useBoardNames.js";

/** The views of the board that the book keeps: look at one, keep what is looked at now, take one out. */
export function ViewsDialog({ onClose }: { readonly onClose: () => void }): ReactElement {
  const { storage } = useBook();
  const own = useLiveQuery(async () => ({ settings: await storage.ownSettings() }), [storage]);
  return (
    <DialogFrame title="Views" onClose={onClose}>
      {own !== undefined && <Views settings={own.settings} onClose={onClose} />}
    </DialogFrame>
  );
}

function Views({
  settings,
  onClose,
}: {
  readonly settings: Book["settings"];
  readonly onClose: () => void;
}): ReactElement {
  const dispatch = useAppDispatch();
  const look = useAppSelector((state) => state.boardLook);
  const seen = useAppSelector((state) => state.preferences);
  const { save: change, failure } = useSettingsChange();
  const views = settings?.views ?? [];
  const keep = (after: BoardView[], words: string): Promise<boolean> =>
    change({ views: after }, words);
  const open = (view: BoardView): void => {
    const chosen = lookOf(view);
    dispatch(boardLookedAt(chosen.look));
    dispatch(preferred(chosen.seen));
    onClose();
  };
  const save = async ({ name }: ViewModel): Promise<boolean> => {
    const called = name.trim();
    return keep(withView(views, viewOf(called, look, seen)), `The view “${called}” is kept.`);
  };
  return (
    <div className="space-y-4 pb-3">
      <ViewList
        views={views}
        onOpen={open}
        onTakeOut={(view) => {
          const left = views.filter((one) => one !== view);
          void keep(left, `The view “${view.name}” is taken out.`);
        }}
      />
      <KeepView views={views} onKeep={save} failure={failure} />
    </div>
  );
}

/** Gives what is looked at a name, under which the book keeps it. */
function KeepView({
  views,
  onKeep,
  failure,
}: {
  readonly views: readonly BoardView[];
  readonly onKeep: (model: ViewModel) => Promise<boolean>;
  readonly failure: string;
}): ReactElement {
  const form = useForm({
    form: "boardView",
    of: "new",
    source: null,
    modelOf: modelOfNewView,
    labels: VIEW_LABELS,
    problemsOf: viewProblems,
    problemWords: viewProblemWords,
    isForNext: true,
  });
  const taken = views.some((view) => view.name === form.model.name.trim());
  return (
    <FormBody
      form={form}
      onSave={onKeep}
      failure={failure}
      className="space-y-3"
      foot={
        <button type="submit" className={PRIMARY_BUTTON}>
          {taken ? "Keep in its place" : "Keep"}
        </button>
      }
    >
      <TextField {...form.field("name")} />
    </FormBody>
  );
}

function ViewList({
  views,
  onOpen,
  onTakeOut,
}: {
  readonly views: readonly BoardView[];
  readonly onOpen: (view: BoardView) => void;
  readonly onTakeOut: (view: BoardView) => void;
}): ReactElement {
  const names = useBoardNames() ?? NO_NAMES;
  if (views.length === 0) {
    return (
      <p className="text-quiet">
        None is kept yet: group and choose on the board, and give what it shows a name here.
      </p>
    );
  }
  return (
    <ul>
      {views.map((view) => {
        const words = lookWords(lookOf(view).look, names);
        return (
          <li key={view.name} className="flex items-center gap-3 border-t border-hairline">
            <button
              type="button"
              className="min-h-11 flex-1 text-left hover:bg-wash max-sm:min-h-12"
              onClick={() => onOpen(view)}
            >
              <strong>{view.name}</strong>{" "}
              <span className="text-quiet">
                {[view.as === "table" ? "table" : "", words]
                  .filter((part) => part !== "")
                  .join(", ")}
              </span>
            </button>
            <button
              type="button"
              aria-label={`Take out ${view.name}`}
              className={QUIET_BUTTON}
              onClick={() => onTakeOut(view)}
            >
              <Trash2 size={16} aria-hidden="true" />
              Take out
            </button>
          </li>
        );
      })}
    </ul>
  );
}
