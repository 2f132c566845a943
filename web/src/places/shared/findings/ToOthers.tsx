import { currentRecords, dayOf, type Finding } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import type { ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { findingTitle } from "../../../words/findingWords.js";
import { fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { BookWork } from "../booking/BookWork.js";
import { useCurrency } from "../currency/useCurrency.js";

/** What is asked of a workshop that puts a finding right. */
const ASK = "What was wrong and why, figures before and after, part numbers, the bill.";

/** Gives a finding to a workshop, with what was seen and what is thought to put it right. */
export function ToOthers({ finding }: { readonly finding: Finding }): ReactElement {
  const currency = useCurrency();
  const { evidence, todo, also } = finding;
  const suspected = (also ?? []).length === 0 ? "" : `Suspected: ${(also ?? []).join("; ")}`;
  const tell = [findingTitle(finding), evidence ?? "", suspected, todo ?? ""]
    .filter((words) => words !== "")
    .join(". ");
  const { storage } = useBook();
  const booked = useLiveQuery(async () => {
    const { bookings } = await storage.ofMachine(finding.machine, ["bookings"]);
    return currentRecords(bookings)
      .map(({ record }) => record)
      .filter((one) => (one.findings ?? []).includes(finding.id));
  }, [storage, finding]);
  return (
    <details className="border-t border-hairline py-2">
      <summary className="min-h-11 cursor-pointer py-2 text-clear max-sm:min-h-12">
        Give it to a workshop
        {(booked ?? []).length > 0 && <strong className="text-ink"> · booked</strong>}
      </summary>
      {(booked ?? []).map(({ id, workshop, day, quote }) => (
        <p key={id} className="py-1">
          Booked with <strong>{workshop}</strong>
          {day ? `, to be there ${fullDate(dayOf(day))}` : ""}
          {quote === null || quote === undefined ? "" : `, for ${money(quote, currency)}`}
        </p>
      ))}
      <BookWork
        machine={finding.machine}
        tasks={[]}
        findings={[finding.id]}
        tell={tell}
        ask={ASK}
      />
    </details>
  );
}
