import {
  capacityAnswers,
  coldOf,
  governing,
  gradesInTheCold,
  type Cold,
  type Fluid,
  type Machine,
  type ServicePoint,
} from "@yonderfell/core";
import { useState, type ReactElement, type ReactNode } from "react";
import { useAppSelector } from "../../../session/store.js";
import { choicesOfWords, SelectField } from "../../../ui/fields.js";
import { Page } from "../../../ui/Page.js";
import { fullDate, sentence } from "../../../words/format.js";
import { capacityWords, gradeWords, specifiedWords } from "../../../words/plateWords.js";
import { quantityWords } from "../../../words/quantityWords.js";
import { useMachineOfAddress } from "../MachineFrame.js";
import { usePlate, type PlateInBook } from "../usePlate.js";
import { machinePath } from "../../shared/paths.js";
import { PrintActions } from "../../shared/PrintActions.js";

const PAPERS = ["A4", "Letter"] as const;
type Paper = (typeof PAPERS)[number];
const LOOK: Readonly<Record<Paper, string>> = { A4: "card-a4", Letter: "card-letter" };

/** A machine's plate as a card to hang under the bonnet. */
export default function CardPage(): ReactElement {
  const machine = useMachineOfAddress();
  const [paper, setPaper] = useState<Paper>("A4");
  if (machine === undefined)
    return <Page title="Under-bonnet card">The book has no such machine.</Page>;
  const { id, tag, name } = machine.machine;
  return (
    <Page
      title={`Card: ${tag} ${name}`}
      aside={
        <PrintActions back={machinePath(id, "/plate")} backWords="Back to the plate">
          <SelectField
            label="Paper"
            value={paper}
            choices={choicesOfWords(PAPERS)}
            onChange={setPaper}
          />
        </PrintActions>
      }
    >
      <Card machine={machine.machine} paper={paper} />
    </Page>
  );
}

function Card({
  machine,
  paper,
}: {
  readonly machine: Machine;
  readonly paper: Paper;
}): ReactElement | null {
  const found = usePlate(machine.id);
  const today = useAppSelector((state) => state.session.today);
  if (found === undefined) return null;
  const { tag, name, description, variant, vin, serial } = machine;
  const number = vin ?? serial ?? "";
  return (
    <article className={`card ${LOOK[paper]} max-w-[60rem] border border-rule bg-raised p-6`}>
      <header className="mb-3 flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink pb-2">
        <span className="font-mono text-[2rem] font-extrabold">{tag}</span>
        <span className="text-title font-bold">{name}</span>
        <span className="text-quiet">
          {[description ?? "", variant ?? ""].filter(Boolean).join(" · ")}
        </span>
        {number !== "" && <span className="ml-auto font-mono text-fine">{number}</span>}
      </header>
      <FluidTable machine={machine} found={found} />
      <div className="mt-3 grid gap-x-8 gap-y-3 sm:grid-cols-2 print:grid-cols-2">
        <Points points={found.plate.servicePoints} />
        <Others found={found} />
      </div>
      <footer className="mt-3 border-t border-hairline pt-1 text-fine text-quiet">
        From the book as of {fullDate(today)}. The maker's handbook wins. Hot oil and coolant: let
        it cool before opening.
      </footer>
    </article>
  );
}

function FluidTable({
  machine,
  found: { plate, settings },
}: {
  readonly machine: Machine;
  readonly found: PlateInBook;
}): ReactElement {
  return (
    <table className="w-full text-left">
      <thead>
        <tr className="text-fine text-quiet">
          <th scope="col" className="font-medium">
            Fluid
          </th>
          <th scope="col" className="font-medium">
            How much
          </th>
          <th scope="col" className="font-medium">
            What
          </th>
        </tr>
      </thead>
      <tbody>
        {plate.fluids.map((fluid) => (
          <tr key={fluid.id} className="border-t border-hairline align-top">
            <th scope="row" className="py-1 pr-4 font-semibold">
              {sentence(fluid.system)}
            </th>
            <td className="py-1 pr-4">
              {capacityAnswers(fluid).map((answer) => (
                <span key={answer.condition} className="block">
                  <strong className="tabular-nums">{capacityWords(answer.working)}</strong>{" "}
                  {answer.condition}
                  {answer.disagrees && (
                    <span className="text-fine"> (sources disagree; bring it to the mark)</span>
                  )}
                </span>
              ))}
            </td>
            <td className="py-1">{whatWords(fluid, coldOf(machine, settings))}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What belongs in a fluid system, in a line. */
function whatWords(fluid: Fluid, cold: Cold): string {
  const grades = gradesInTheCold(fluid, cold).map(gradeWords);
  const kind = fluid.coolantFamily ?? (fluid.brakeType ? `type ${fluid.brakeType}` : fluid.kind);
  return [kind, ...grades, ...(fluid.codes ?? [])].join("; ");
}

function Block({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <section>
      <h2 className="border-b border-rule font-bold">{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}

function Points({ points }: { readonly points: readonly ServicePoint[] }): ReactElement {
  return (
    <Block title="Points">
      {points.map((point) => (
        <li key={point.id} className="border-b border-hairline py-0.5">
          {sentence(point.purpose)}: <strong>{point.name}</strong>
          {(point.count ?? 1) > 1 && ` × ${point.count ?? 1}`}
          <span className="text-fine">
            {" "}
            {[
              point.where ?? "",
              point.tool ?? "",
              point.torque ? quantityWords(point.torque) : "",
              point.seal ?? "",
            ]
              .filter(Boolean)
              .join("; ")}
          </span>
        </li>
      ))}
    </Block>
  );
}

function Others({ found: { plate } }: { readonly found: PlateInBook }): ReactElement {
  return (
    <Block title="Specified">
      {plate.specifications.map((one) => (
        <li key={one.id} className="border-b border-hairline py-0.5">
          {one.name}: <strong className="tabular-nums">{specifiedWords(one)}</strong>
          {governing(one).reason !== null && (
            <span className="text-fine"> ({governing(one).reason})</span>
          )}
        </li>
      ))}
    </Block>
  );
}
