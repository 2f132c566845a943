import type { ReactElement } from "react";
import { useSearchParams } from "react-router";
import { SelectField } from "../../ui/fields.js";
import { counted } from "../../words/format.js";
import { money } from "../../words/money.js";
import { useCurrency } from "../shared/currency/useCurrency.js";
import {
  costTogether,
  FINDING_ORDERS,
  type FindingsAsked,
  type ListedFinding,
} from "./findingsModel.js";

const VERDICTS = [
  ["", "any"],
  ["stop", "stop"],
  ["attend", "attend"],
  ["watch", "watch"],
  ["sound", "only to be known"],
  ["not judged", "not judged"],
] as const;
const DECISIONS = [
  ["", "anything"],
  ["now", "put right now"],
  ["next visit", "at the next visit"],
  ["watch", "watch it"],
  ["declined", "declined"],
] as const;
const ORDERS = [
  ["pressing", "most pressing first"],
  ["oldest", "oldest first"],
  ["dearest", "dearest first"],
  ["machine", "by machine"],
] as const satisfies readonly (readonly [FindingsAsked["order"], string])[];

/** Which findings the address asks for, and in which order. */
export function useAsked(): FindingsAsked {
  const [search] = useSearchParams();
  const order = FINDING_ORDERS.find((one) => one === search.get("order")) ?? "pressing";
  return {
    verdict: search.get("verdict") ?? "",
    decision: search.get("decision") ?? "",
    machine: search.get("of") ?? "",
    order,
  };
}

/** What of the findings is shown, in which order, and what it comes to. */
export function FindingsTools({
  findings,
  shown,
}: {
  readonly findings: readonly ListedFinding[];
  readonly shown: readonly ListedFinding[];
}): ReactElement {
  const [search, setSearch] = useSearchParams();
  const asked = useAsked();
  const set = (name: string, value: string): void => {
    const next = new URLSearchParams(search);
    if (value === "" || value === "pressing") next.delete(name);
    else next.set(name, value);
    setSearch(next, { replace: true });
  };
  const machines = new Map(findings.map(({ machine: { machine } }) => [machine.id, machine]));
  const choices = [...machines.values()].map(
    ({ id, tag, name }) => [id as string, `${tag} ${name}`] as const,
  );
  return (
    <>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2 sm:flex sm:flex-wrap print:hidden">
        <SelectField
          label="How bad"
          value={asked.verdict}
          choices={VERDICTS}
          onChange={(verdict) => set("verdict", verdict)}
        />
        <SelectField
          label="Decided"
          value={asked.decision}
          choices={DECISIONS}
          onChange={(decision) => set("decision", decision)}
        />
        <SelectField
          label="On"
          value={asked.machine}
          choices={[["", "all machines"], ...choices]}
          onChange={(machine) => set("of", machine)}
        />
        <SelectField
          label="Order"
          value={asked.order}
          choices={ORDERS}
          onChange={(order) => set("order", order)}
        />
      </div>
      <Together {...{ findings, shown }} />
    </>
  );
}

/** How many are shown, and what putting them right costs as far as it is known. */
function Together({
  findings,
  shown,
}: {
  readonly findings: readonly ListedFinding[];
  readonly shown: readonly ListedFinding[];
}): ReactElement {
  const currency = useCurrency();
  const { known, missing } = costTogether(shown);
  const { length } = shown;
  if (length === 0) {
    return (
      <p role="status" className="my-3 text-quiet">
        None of {counted(findings.length, "finding")} is as asked for: ask for less above.
      </p>
    );
  }
  const count =
    length === findings.length
      ? counted(length, "finding")
      : `${length} of ${counted(findings.length, "finding")}`;
  const cost =
    known === 0
      ? ""
      : `; ${money(known, currency)} to put right${missing === 0 ? "" : `, ${missing} of them without a cost`}`;
  return (
    <p role="status" className="my-3 text-quiet">
      {count}
      {cost}.
    </p>
  );
}
