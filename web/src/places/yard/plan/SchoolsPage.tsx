import {
  compareSchools,
  recordsByMachine,
  schoolsInHindsight,
  settingsOf,
  usualRate,
  type Hindsight,
  type SchoolSum,
} from "@yonderfell/core";
import { lazy, Suspense, useMemo, type ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { SelectField } from "../../../ui/fields.js";
import { useWorkSource, type WorkSource } from "../../../session/useWorkSource.js";
import { TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { SchoolsTable } from "./SchoolsTable.js";
import { Term } from "../../../ui/Term.js";
import { again } from "../../../ui/again.js";
import { TestsOfYears } from "./TestsOfYears.js";
import {
  AS_DONE,
  hindsightWords,
  LOOKS,
  NOTHING_KEPT,
  schoolRows,
  type Look,
} from "./schoolsWords.js";

const SchoolsChart = lazy(again(() => import("./SchoolsChart.js")));

/** What each school of intervals asks for on one machine: over years to come, or over those that the book has of it. */
export default function SchoolsPage(): ReactElement {
  const machine = useMachineOfAddress();
  const source = useWorkSource(machine?.machine.id);
  return (
    <MachineFrame machine={machine}>
      {source !== undefined && source !== null && <Schools source={source} />}
    </MachineFrame>
  );
}

/** The schools as they are looked at; null where the book has nothing to look back on. */
type Looked = { readonly sums: readonly SchoolSum[]; readonly back: Hindsight | null } | null;

function lookedAt(source: WorkSource, look: Look, today: Hindsight["to"]): Looked {
  // With all fluids and products of the machine, whether its intervals depend on them or not.
  const whole = { ...source.book, fluids: source.plate.fluids, products: source.products };
  const records = recordsByMachine(whole).get(source.book.machines[0].id);
  if (records === undefined) return null;
  const needs = { ...source, rate: usualRate(source.people) };
  const settings = settingsOf({ settings: source.settings });
  if (look !== "back") {
    return { sums: compareSchools(records, settings, needs, today, Number(look)), back: null };
  }
  const back = schoolsInHindsight(records, settings, needs, today);
  if (back === null) return null;
  return { sums: [...back.schools, { ...back.done, school: AS_DONE }], back };
}

function Schools({ source }: { readonly source: WorkSource }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [search, setSearch] = useSearchParams();
  const [look] = LOOKS.find(([one]) => one === search.get("over")) ?? ["5" as const];
  const setLook = (over: Look): void => setSearch({ over }, { replace: true });
  const { book, settings } = source;
  const looked = useMemo(() => lookedAt(source, look, today), [source, look, today]);
  const currency = settings?.currency ?? "";
  const hand = useTableFile();
  return (
    <section aria-labelledby="schools">
      <div className="mb-3 flex flex-wrap items-end gap-x-6">
        <h2 id="schools" className="text-large font-bold">
          Schools side by side
        </h2>
        <div className="w-56">
          <SelectField label="Over" choices={LOOKS} value={look} onChange={setLook} />
        </div>
        <TableButton
          isReady={looked !== null}
          onPress={() =>
            looked !== null &&
            hand(`schools of ${book.machines[0].tag}`, schoolRows(looked.sums, book.tasks))
          }
        />
        <p className="max-w-[64ch] text-fine text-quiet">
          Each <Term word="school" /> followed throughout, every <Term word="turn" /> done when it
          falls due{looked?.back ? hindsightWords(looked.back) : ", at the machine’s present pace"}.
          A task without limits in a school goes by the handbook’s.
        </p>
      </div>
      {looked === null ? (
        <p>{NOTHING_KEPT}</p>
      ) : (
        <>
          <Suspense>
            <SchoolsChart sums={looked.sums} currency={currency} />
          </Suspense>
          <SchoolsTable sums={looked.sums} book={book} currency={currency} />
          {looked.back !== null && <TestsOfYears tests={looked.back.tests} tasks={book.tasks} />}
        </>
      )}
    </section>
  );
}
