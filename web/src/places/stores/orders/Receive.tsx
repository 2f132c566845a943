import { formatDay, orderStanding, type Order, type SupplierOrder } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { fieldsOf, type FieldsOf } from "../../../ui/field.js";
import { TextField } from "../../../ui/fields.js";
import { itemName } from "../stockWords.js";
import type { OpenCatalogue } from "../useCatalogue.js";
import {
  cameOf,
  RECEIVE_LABELS,
  receiveProblems,
  receiveProblemWords,
  receiveSheet,
  type CameRow,
  type ReceiveModel,
} from "./receiveModel.js";
import { useOrdering } from "./useOrders.js";

/** What came of an order, in hand. */
function useReceiveForm(order: Order, told: SupplierOrder | null): FormInHand<ReceiveModel, Order> {
  const today = formatDay(useAppSelector((state) => state.session.today));
  return useForm({
    form: "receive",
    of: `${order.id} ${order.received?.length ?? 0} ${told?.deliveries.length ?? 0}`,
    source: order,
    modelOf: (own) => receiveSheet(own, told, today),
    labels: RECEIVE_LABELS,
    problemsOf: receiveProblems,
    problemWords: receiveProblemWords,
  });
}

/** Takes in what came of an order, in part or all of it, under its number or another. */
export function Receive({
  order,
  catalogue,
  told,
}: {
  readonly order: Order;
  readonly catalogue: OpenCatalogue;
  readonly told: SupplierOrder | null;
}): ReactElement {
  const { receive, failure } = useOrdering();
  const form = useReceiveForm(order, told);
  const { field, model, set } = form;
  const { problemAt = () => "" } = field("rows");
  const standing = orderStanding(order);
  const setRow = (at: number, patch: Partial<CameRow>): void =>
    set({ rows: model.rows.map((row, place) => (place === at ? { ...row, ...patch } : row)) });
  const allOfIt = (): void => {
    const whole = ({ line }: CameRow): string => String(standing[line]?.open ?? "");
    set({ rows: model.rows.map((row) => ({ ...row, count: whole(row) })) });
  };
  return (
    <section aria-labelledby="take-in" className="mt-6 max-w-4xl">
      <h2 id="take-in" className="mb-1 text-large font-bold">
        Take in what came
      </h2>
      <FormBody
        form={form}
        onSave={(typed) => receive(order.id, typed.on, cameOf(typed))}
        failure={failure}
        className="space-y-2"
        foot={<ReceiveFoot onAll={allOfIt} />}
      >
        <div className="max-w-60">
          <DayField {...field("on")} />
        </div>
        {model.rows.map((row, at) => {
          const item = standing[row.line]?.item ?? null;
          if (item === null) return null;
          return (
            <CameFields
              key={row.line}
              name={itemName(item, catalogue)}
              isPart={"part" in item}
              rowField={fieldsOf(
                row,
                (patch) => setRow(at, patch),
                (path) => problemAt(`${at}.${path}`),
              )}
            />
          );
        })}
      </FormBody>
    </section>
  );
}

function ReceiveFoot({ onAll }: { readonly onAll: () => void }): ReactElement {
  return (
    <div className="flex flex-wrap gap-3">
      <button type="submit" className={PRIMARY_BUTTON}>
        Take it in
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={onAll}>
        All of it came
      </button>
    </div>
  );
}

function CameFields({
  name,
  isPart,
  rowField,
}: {
  readonly name: string;
  readonly isPart: boolean;
  readonly rowField: FieldsOf<CameRow>;
}): ReactElement {
  return (
    <div
      role="group"
      aria-label={name}
      className="grid items-start gap-x-4 border-t border-hairline py-2 sm:grid-cols-[1fr_7rem_8rem_12rem]"
    >
      <span className="pt-5 font-semibold">{name}</span>
      <TextField label="Came" isMono {...rowField("count")} />
      <TextField label="Price of one" isMono {...rowField("price")} />
      {isPart ? (
        <TextField label="Another number came" isMono {...rowField("instead")} />
      ) : (
        <span />
      )}
    </div>
  );
}
