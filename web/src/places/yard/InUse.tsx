import {
  dayOf,
  systemsInUse,
  type MachineBook,
  type SystemInUse,
  type TopUpRate,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { useWorkNames } from "../../session/useWorkNames.js";
import { counted, figure, fullDate, sentence } from "../../words/format.js";
import { quantityWords } from "../../words/quantityWords.js";
import { partWords, type WorkNames } from "../../words/workWords.js";
import { machinePath } from "../shared/paths.js";
import { usePlate } from "./usePlate.js";

/** What each fluid system was last filled with, which parts went with it, and what it takes between. */
export function InUse({ book }: { readonly book: MachineBook }): ReactElement | null {
  const { id } = book.machines[0];
  const plate = usePlate(id);
  const names = useWorkNames(id, book.entries);
  const today = useAppSelector((state) => state.session.today);
  const systems = systemsInUse(book, plate?.plate.fluids ?? [], today);
  const known = systems.filter(({ filled, topUps }) => filled !== null || topUps !== null);
  if (known.length === 0 || names === undefined) return null;
  return (
    <section aria-labelledby="in-use" className="mt-8">
      <h2 id="in-use" className="text-large font-bold">
        Last filled
      </h2>
      <ul>
        {known.map((system) => (
          <SystemRow key={system.fluid.id} system={system} machine={id} names={names} />
        ))}
      </ul>
    </section>
  );
}

function SystemRow({
  system: { fluid, filled, topUps },
  machine,
  names,
}: {
  readonly system: SystemInUse;
  readonly machine: string;
  readonly names: WorkNames;
}): ReactElement {
  return (
    <li className="grid items-baseline gap-x-6 border-t border-hairline py-2 sm:grid-cols-[7.5rem_minmax(12rem,20rem)_1fr]">
      <span className="text-quiet">{sentence(fluid.system)}</span>
      {filled === null ? (
        <span className="text-quiet">no filling is logged</span>
      ) : (
        <span>
          <strong className="font-semibold tabular-nums">
            {filled.line.in ? quantityWords(filled.line.in) : ""}{" "}
            {filled.line.product ? names.product(filled.line.product) : ""}
          </strong>{" "}
          <Link
            to={`${machinePath(machine)}?entry=${encodeURIComponent(filled.entry.id)}`}
            className="whitespace-nowrap text-clear hover:underline"
          >
            {fullDate(dayOf(filled.entry.date))}
          </Link>
        </span>
      )}
      <span className="text-fine tabular-nums">
        {[
          ...(filled === null ? [] : partWords(filled.entry, names)),
          ...(topUps === null ? [] : [topUpWords(topUps)]),
        ].join(" · ")}
      </span>
    </li>
  );
}

/** `takes 0.43 L per 1 000 km: 6.1 L in 5 top-ups since 30 Nov 2025` */
function topUpWords({ rate, per, amount, count, meter, since }: TopUpRate): string {
  const litres = (value: number): string =>
    quantityWords({ value: Math.round(value * 100) / 100, unit: "L" });
  return `takes ${litres(rate)} per ${figure(per)} ${meter.unit}: ${litres(amount)} in ${counted(count, "top-up")} since ${fullDate(since)}`;
}
