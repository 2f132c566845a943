import { formatDay, itemKey, unitOfItem, type ShelfItem, type StoreItem } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { MOVE_WORDS } from "../stockWords.js";
import { itemChoices, useCatalogue, type OpenCatalogue } from "../useCatalogue.js";
import {
  itemOfKey,
  MOVE_LABELS,
  moveOf,
  moveProblems,
  moveProblemWords,
  MOVES,
  newMove,
  type MoveModel,
} from "./moveModel.js";
import { shelvesIn } from "./shelfModel.js";
import { MovesOf } from "./MovesOf.js";
import { useMoves } from "./useMoves.js";

interface MoveProps {
  /** The item it is of; null to choose one. */
  readonly item: StoreItem | null;
  readonly items: readonly ShelfItem[];
  readonly onClose: () => void;
}

/** Writes down what came to the shelves or left them otherwise than by work. */
export function MoveDialog(props: MoveProps): ReactElement {
  const catalogue = useCatalogue();
  return (
    <DialogFrame title="Something came or went" onClose={props.onClose}>
      {catalogue !== undefined && <MoveForm {...props} catalogue={catalogue} />}
    </DialogFrame>
  );
}

/** A move in hand, of an item and the shelf it lies on. */
function useMoveForm(
  item: StoreItem | null,
  items: readonly ShelfItem[],
): FormInHand<MoveModel, null> {
  const today = useAppSelector((state) => state.session.today);
  const held = items.find((one) => item !== null && itemKey(one.item) === itemKey(item));
  return useForm({
    form: "stockMove",
    of: item === null ? "new" : itemKey(item),
    source: null,
    modelOf: () => newMove(item, held?.shelves[0] ?? "", formatDay(today)),
    labels: MOVE_LABELS,
    problemsOf: moveProblems,
    problemWords: moveProblemWords,
  });
}

function MoveForm({
  item,
  items,
  onClose,
  catalogue,
}: MoveProps & { readonly catalogue: OpenCatalogue }): ReactElement {
  const { move, failure } = useMoves();
  const form = useMoveForm(item, items);
  const { field, model } = form;
  const chosen = itemOfKey(model.item, catalogue);
  const unit = chosen === null ? "" : unitOfItem(chosen, catalogue);
  const keep = async (): Promise<boolean> => {
    const told = moveOf(model, catalogue);
    const isDone = told !== null && (await move(told));
    if (isDone) onClose();
    return isDone;
  };
  return (
    <>
      <FormBody
        form={form}
        onSave={keep}
        failure={failure}
        className="grid gap-x-5 gap-y-3 pt-1 pb-3 sm:grid-cols-2"
        foot={<WriteDown />}
      >
        <div className="sm:col-span-2">
          <SelectField
            {...field("item")}
            choices={[["", "choose a part or a fluid"] as const, ...itemChoices(catalogue)]}
          />
        </div>
        <SelectField
          {...field("why")}
          choices={MOVES.map((why) => [why, MOVE_WORDS[why]] as const)}
        />
        <TextField
          isMono
          isRequired
          autoFocus={item !== null}
          {...field("amount")}
          note={unit.replace("piece", "pieces")}
        />
        <DayField {...field("date")} />
        <TextField isMono {...field("price")} />
        <TextField {...field("source")} />
        <TextField offered={shelvesIn(items)} {...field("shelf")} />
        <div className="sm:col-span-2">
          <NoteField {...field("note")} />
        </div>
      </FormBody>
      {chosen !== null && unit !== "" && <MovesOf item={chosen} unit={unit} />}
    </>
  );
}

function WriteDown(): ReactElement {
  return (
    <div className="sm:col-span-2">
      <button type="submit" className={PRIMARY_BUTTON}>
        Write it down
      </button>
    </div>
  );
}
