import type { ConsumptionTrend, MachineId, ServiceSpan } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { amount, figure } from "../../../words/format.js";
import { correctionPath } from "../../shared/paths.js";
import { FigureTable } from "./FigureTable.js";
import { rateWords, spanWords } from "./learningWords.js";

/** What a system took from service to service, and since the last. */
export function ConsumptionTable({
  machine,
  trend,
}: {
  readonly machine: MachineId;
  readonly trend: ConsumptionTrend;
}): ReactElement {
  const { spans, soFar, meter, system } = trend;
  const row = (span: ServiceSpan): { key: string; cells: (ReactElement | string)[] } => ({
    key: String(span.fromDay),
    cells: [
      <Link
        key="days"
        to={correctionPath(machine, "entries", span.entries[0] ?? "")}
        className="hover:underline"
      >
        {spanWords(span)}
        <span className="sr-only">, {system}: the entry it begins with</span>
      </Link>,
      amount(span.to - span.from, meter.unit),
      figure(span.count),
      `${figure(span.amount, 2)} L`,
      rateWords(span.rate, trend),
    ],
  });
  return (
    <FigureTable
      label={`${system}, between services`}
      columns={[
        { label: "From service to service" },
        { label: "run", isFigure: true },
        { label: "top-ups", isFigure: true },
        { label: "taken", isFigure: true },
        { label: "rate", isFigure: true },
      ]}
      rows={[...spans, ...(soFar === null ? [] : [soFar])].map(row)}
    />
  );
}
