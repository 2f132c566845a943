import {
  compareSchools,
  recordsByMachine,
  settingsOf,
  usualRate,
  type SchoolSum,
} from "@yonderfell/core";
import { lazy, Suspense, useMemo, useState, type ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { SelectField } from "../../../ui/fields.js";
import { useWorkSource, type WorkSource } from "../../../session/useWorkSource.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { SchoolsTable } from "./SchoolsTable.js";
import { Term } from "../../../ui/Term.js";
import { again } from "../../../ui/again.js";

const SchoolsChart = lazy(again(() => import("./SchoolsChart.js")));

const YEARS = ["1", "2", "3", "5", "8", "10"] as const;

/** What each school of intervals would ask for on one machine over the years kept. */
export default function SchoolsPage(): ReactElement {
  const machine = useMachineOfAddress();
  const source = useWorkSource(machine?.machine.id);
  return (
    <MachineFrame machine={machine}>
      {source !== undefined && source !== null && <Schools source={source} />}
    </MachineFrame>
  );
}

function Schools({ source }: { readonly source: WorkSource }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [years, setYears] = useState<(typeof YEARS)[number]>("5");
  const { book, settings } = source;
  const sums = useMemo((): readonly SchoolSum[] => {
    // With all fluids and products of the machine, whether its intervals depend on them or not.
    const whole = { ...source.book, fluids: source.plate.fluids, products: source.products };
    const records = recordsByMachine(whole).get(source.book.machines[0].id);
    const needs = { ...source, rate: usualRate(source.people) };
    return records === undefined
      ? []
      : compareSchools(
          records,
          settingsOf({ settings: source.settings }),
          needs,
          today,
          Number(years),
        );
  }, [source, today, years]);
  return (
    <section aria-labelledby="schools">
      <div className="mb-3 flex flex-wrap items-end gap-x-6">
        <h2 id="schools" className="text-large font-bold">
          Schools side by side
        </h2>
        <div className="w-32">
          <SelectField
            label="Years kept"
            choices={YEARS.map((one) => [one, one] as const)}
            value={years}
            onChange={setYears}
          />
        </div>
        <p className="max-w-[56ch] text-fine text-quiet">
          Each <Term word="school" /> followed throughout, every <Term word="turn" /> done when it
          falls due, the machine run on at its present pace. A task without limits in a school goes
          by the handbook’s.
        </p>
      </div>
      <Suspense>
        <SchoolsChart sums={sums} currency={settings?.currency ?? ""} />
      </Suspense>
      <SchoolsTable sums={sums} book={book} currency={settings?.currency ?? ""} />
    </section>
  );
}
