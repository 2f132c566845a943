import { formatDay, type BoardMachine, type DayNumber, type OnTime } from "@yonderfell/core";
import { useCallback, type ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { useBeside } from "../../../session/useBeside.js";
import { fullDate } from "../../../words/format.js";
import { costsReckoned } from "../../../work/costsClient.js";
import { SpanChoice } from "../../shared/costs/SpanChoice.js";
import { useSpan } from "../../shared/costs/useSpan.js";
import { PrintButton, TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { LedgerPage } from "../LedgerPage.js";
import { ByKind, ByMonth, MonthChart } from "./Shares.js";
import { OverdueNow, OutOfServiceList } from "./Waiting.js";
import {
  backlogWords,
  followedWords,
  notKnownWords,
  shareRows,
  wholeWords,
} from "./onTimeWords.js";

/** How well the machines are kept in time: on one page, for a meeting. */
export default function OnTimePage(): ReactElement {
  const asked = useSpan("12-months");
  const seq = useAppSelector((state) => state.board.seq);
  const machines = useAppSelector((state) => state.board.machines);
  const [from, to] = [asked.span?.from ?? null, asked.span?.to ?? null];
  const ask = useCallback(
    (database: string, today: DayNumber) =>
      from === null || to === null
        ? Promise.resolve(null)
        : costsReckoned().kept(database, seq, { from, to, today }),
    [from, to, seq],
  );
  const { answer, failure } = useBeside(ask);
  const hand = useTableFile();
  return (
    <LedgerPage
      title="On time"
      aside={
        <>
          <TableButton
            isReady={answer !== null}
            onPress={() => answer !== null && hand("on time", shareRows(answer))}
          />
          <PrintButton />
        </>
      }
    >
      <SpanChoice asked={asked} label="Turns of" />
      {failure !== "" && <p role="alert">It could not be reckoned: {failure}</p>}
      {answer === null && failure === "" && asked.span !== null && (
        <p className="py-6 text-quiet">Reckoning.</p>
      )}
      {answer !== null && asked.span !== null && (
        <div className="print:[zoom:0.66]">
          <p className="hidden text-quiet print:block">
            {formatDay(asked.span.from) === "1900-01-01"
              ? `All there is, up to ${fullDate(asked.span.to)}`
              : `${fullDate(asked.span.from)} to ${fullDate(asked.span.to)}`}
          </p>
          <Told onTime={answer} machines={machines} />
        </div>
      )}
    </LedgerPage>
  );
}

/** Side by side on a wide screen, one under the other on a narrow one; on paper so that all of it is one page. */
const GRID =
  "mt-6 grid gap-x-10 gap-y-7 [grid-template-areas:'chart'_'months'_'kinds'_'waits'_'out'_'found'] xl:grid-cols-[minmax(0,1fr)_auto] xl:[grid-template-areas:'chart_months'_'waits_kinds'_'out_found'] print:gap-y-4 print:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] print:[grid-template-areas:'chart_chart'_'months_kinds'_'waits_waits'_'out_found']";

function Told({
  onTime,
  machines,
}: {
  readonly onTime: OnTime;
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const { all, backlog, followedUp } = onTime;
  return (
    <>
      <p className="mt-4 text-title font-bold print:mt-1">{wholeWords(all)}</p>
      <p className="text-quiet">{notKnownWords(all)}</p>
      <p className="text-quiet">
        Each turn is judged by how its task stood on that day just before, by the limits and the
        grace the book has now.
      </p>
      <div className={GRID}>
        <MonthChart onTime={onTime} />
        <ByMonth onTime={onTime} />
        <ByKind onTime={onTime} />
        <section aria-labelledby="waits" className="min-w-0 [grid-area:waits]">
          <h2 id="waits" className="mb-1 text-large font-bold">
            What waits today
          </h2>
          <p className="mb-2">{backlogWords(backlog)}</p>
          <OverdueNow onTime={onTime} machines={machines} />
        </section>
        <OutOfServiceList onTime={onTime} machines={machines} />
        <section aria-labelledby="followed" className="[grid-area:found]">
          <h2 id="followed" className="mb-1 text-large font-bold">
            What was found
          </h2>
          <p className="max-w-[40rem]">{followedWords(followedUp)}</p>
        </section>
      </div>
    </>
  );
}
