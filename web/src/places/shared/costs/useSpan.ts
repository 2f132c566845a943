import { formatDay, spanName, spanOf, type Span, type SpanName } from "@yonderfell/core";
import { useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";

/** The span that is looked at, which stands in the address. */
export interface AskedSpan {
  readonly name: SpanName;
  /** As they stand in the fields. */
  readonly typed: { readonly from: string; readonly to: string };
  /** Null where the days typed are no span. */
  readonly span: Span | null;
  readonly choose: (name: SpanName) => void;
  readonly type: (which: "from" | "to", value: string) => void;
}

/** The span that the address asks for, the usual one where it asks for none, and the ways to ask for another. */
export function useSpan(usual: SpanName = "this-year"): AskedSpan {
  const [params, setParams] = useSearchParams();
  const today = useAppSelector((state) => state.session.today);
  const name = spanName(params.get("span") ?? usual);
  const typed = { from: params.get("from") ?? "", to: params.get("to") ?? "" };
  const change = (values: Readonly<Record<string, string>>): void =>
    setParams({ ...Object.fromEntries(params), ...values }, { replace: true });
  return {
    ...{ name, typed, span: spanOf(name, today, typed) },
    choose: (chosen) => {
      // One's own days begin with those that were looked at.
      const before = spanOf(name, today, typed);
      const own =
        chosen === "days" && before !== null
          ? { from: formatDay(before.from), to: formatDay(before.to) }
          : {};
      change({ span: chosen, ...own });
    },
    type: (which, value) => change({ [which]: value }),
  };
}
