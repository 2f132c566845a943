import { parseDay, type MachineId } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { untilOf } from "../buy/buyModel.js";
import { useShopping, type Wanted } from "../buy/useShopping.js";
import { StoresFrame } from "../StoresFrame.js";
import { useCatalogue, type OpenCatalogue } from "../useCatalogue.js";
import { OrderForm } from "./OrderForm.js";
import { rowsOf } from "./orderModel.js";

/** Orders from a source: what the shopping list has of it, or what one adds. Nothing is ordered without a press. */
export default function NewOrder(): ReactElement {
  const [search] = useSearchParams();
  const source = search.get("from");
  const catalogue = useCatalogue();
  return (
    <StoresFrame title={source === null ? "Order something" : `Order from ${source}`}>
      {catalogue !== undefined &&
        (source === null ? (
          <OrderForm catalogue={catalogue} source="" rows={[]} />
        ) : (
          <FromList catalogue={catalogue} source={source} />
        ))}
    </StoresFrame>
  );
}

function FromList({
  catalogue,
  source,
}: {
  readonly catalogue: OpenCatalogue;
  readonly source: string;
}): ReactElement {
  const [search] = useSearchParams();
  const today = useAppSelector((state) => state.session.today);
  const [until, machines, only] = ["until", "machines", "only"].map((key) => search.get(key));
  const wanted = useMemo(
    (): Wanted => ({
      until: parseDay(until ?? "") ?? untilOf("30", today),
      machines: machines ? (machines.split(",") as MachineId[]) : null,
      source: only ?? null,
    }),
    [until, machines, only, today],
  );
  const { shopping, failure } = useShopping(wanted);
  if (failure !== "") return <p role="alert">The list was not made: {failure}</p>;
  if (shopping === null) return <p role="status">Adding up what the work ahead takes…</p>;
  return (
    <OrderForm catalogue={catalogue} source={source} rows={rowsOf(shopping.list.toBuy, source)} />
  );
}
