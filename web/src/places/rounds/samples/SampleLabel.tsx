import { dayOf, type MachineId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import NotFound from "../../../ui/NotFound.js";
import { Page } from "../../../ui/Page.js";
import { amount, fullDate, sentence } from "../../../words/format.js";
import { lifeUnit } from "./sampleWords.js";
import { systemPath } from "../../shared/paths.js";

/** What goes on the bottle: its label, of what, when, how old the oil and the machine are. */
export default function SampleLabel(): ReactElement | null {
  const { machineId = "", sampleId = "" } = useParams();
  const { storage } = useBook();
  const read = async () => {
    const [book, own, products] = await Promise.all([
      storage.machineBook(machineId as MachineId),
      storage.ofMachine(machineId as MachineId, ["samples", "fluids"]),
      storage.list("products"),
    ]);
    const sample = own.samples.find(({ id }) => id === sampleId);
    const fluid = own.fluids.find(({ id }) => id === sample?.fluid);
    if (book === null || sample === undefined || fluid === undefined) return null;
    const product = products.find(({ id }) => id === sample.product)?.name ?? "";
    return { machine: book.machines[0], sample, fluid, product };
  };
  const found = useLiveOf(`${machineId} ${sampleId}`, read, [storage]);
  if (found === undefined) return null;
  if (found === null) return <NotFound />;
  const { machine, sample, fluid, product } = found;
  const unit = lifeUnit(machine, sample);
  const lines = [
    ["Taken", fullDate(dayOf(sample.date))],
    ["Machine at", typeof sample.life === "number" ? amount(sample.life, unit) : ""],
    ["Oil has run", typeof sample.oilLife === "number" ? amount(sample.oilLife, unit) : ""],
    ["Product", product],
    ["Laboratory", sample.lab ?? ""],
  ].filter(([, words]) => words !== "");
  return (
    <Page
      title={`Label ${sample.label ?? ""}`}
      aside={
        <div className="flex gap-3 print:hidden">
          <Link to={systemPath(machine.id, fluid.id)} className={QUIET_BUTTON}>
            The samples
          </Link>
          <button type="button" className={PRIMARY_BUTTON} onClick={() => window.print()}>
            Print
          </button>
        </div>
      }
    >
      <article className="w-[20rem] break-inside-avoid border-2 border-ink bg-raised p-4">
        <p className="font-mono text-[2rem] leading-tight font-bold">{sample.label}</p>
        <p className="text-large font-semibold">
          {machine.tag} {machine.name}
        </p>
        <p className="mb-2">{sentence(fluid.system)}</p>
        <dl className="grid grid-cols-[7rem_1fr] border-t border-rule pt-2">
          {lines.map(([name, words]) => (
            <div key={name} className="col-span-2 grid grid-cols-subgrid">
              <dt className="text-quiet">{name}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
      </article>
    </Page>
  );
}
