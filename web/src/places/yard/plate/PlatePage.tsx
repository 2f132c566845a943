import {
  coldOf,
  type Fluid,
  type Machine,
  type ServicePoint,
  type Specification,
} from "@yonderfell/core";
import { Plus, Printer } from "lucide-react";
import { useState, type ReactElement, type ReactNode } from "react";
import { Link } from "react-router";
import { asItStands } from "../../../form/typed.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { usePlate, type PlateInBook } from "../usePlate.js";
import { FluidForm } from "./FluidForm.js";
import { FluidRows } from "./FluidRows.js";
import { PointForm } from "./PointForm.js";
import { PointRows } from "./PointRows.js";
import { ProductChoice } from "./ProductChoice.js";
import { SpecificationForm } from "./SpecificationForm.js";
import { SpecificationRows } from "./SpecificationRows.js";
import { Terms } from "../../../ui/Term.js";
import { machinePath } from "../../shared/paths.js";

/** A machine's plate: fluids and capacities with their sources, service points, specified against fitted. */
export default function PlatePage(): ReactElement {
  const machine = useMachineOfAddress();
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && <Plate key={machine.machine.id} machine={machine.machine} />}
    </MachineFrame>
  );
}

function Plate({ machine }: { readonly machine: Machine }): ReactElement | null {
  const found = usePlate(machine.id);
  if (found === undefined) return null;
  return (
    <>
      <Terms words={["plate", "service point"]} />
      <Fluids machine={machine} found={found} />
      <Points machine={machine} found={found} />
      <Specifications machine={machine} found={found} />
    </>
  );
}

interface PartProps {
  readonly machine: Machine;
  readonly found: PlateInBook;
}

/** What is being written down: a record, null for a new one, undefined while nothing is. */
type Editing<T> = T | null | undefined;

function Fluids({
  machine,
  found: { plate, now, inside, products, settings },
}: PartProps): ReactElement {
  const [editing, setEditing] = useState<Editing<Fluid>>();
  const [choosing, setChoosing] = useState<Fluid | null>(null);
  const { fluids } = plate;
  const cold = coldOf(machine, settings);
  const close = (): void => setEditing(undefined);
  return (
    <Section
      title="Fluids"
      empty="Which fluids are in it, how much, by whose word, and of which specification."
      isEmpty={fluids.length === 0}
      action="Add a fluid"
      onAdd={() => setEditing(null)}
      aside={
        <Link to={machinePath(machine.id, "/card")} className={QUIET_BUTTON}>
          <Printer size={18} aria-hidden="true" />
          Under-bonnet card
        </Link>
      }
    >
      <FluidRows
        cold={cold}
        fluids={now.fluids}
        inside={inside}
        products={products}
        onEdit={({ id }) => setEditing(fluids.find((one) => one.id === id))}
        onChoose={setChoosing}
      />
      {choosing !== null && (
        <ProductChoice
          fluid={choosing}
          cold={cold}
          products={products}
          onClose={() => setChoosing(null)}
        />
      )}
      {editing !== undefined && (
        <FluidForm
          fluid={asItStands(fluids, editing)}
          machine={machine}
          products={products}
          inside={inside}
          onClose={close}
        />
      )}
    </Section>
  );
}

function Points({ machine, found: { plate } }: PartProps): ReactElement {
  const [editing, setEditing] = useState<Editing<ServicePoint>>();
  const { servicePoints, fluids } = plate;
  const close = (): void => setEditing(undefined);
  return (
    <Section
      title="Service points"
      empty="Where to drain, fill, check and grease: the tool, the torque, the seal, and how many there are."
      isEmpty={servicePoints.length === 0}
      action="Add a point"
      onAdd={() => setEditing(null)}
    >
      <PointRows points={servicePoints} fluids={fluids} onEdit={setEditing} />
      {editing !== undefined && (
        <PointForm
          point={asItStands(servicePoints, editing)}
          machine={machine}
          fluids={fluids}
          onClose={close}
        />
      )}
    </Section>
  );
}

function Specifications({ machine, found: { plate, parts } }: PartProps): ReactElement {
  const [editing, setEditing] = useState<Editing<Specification>>();
  const { specifications } = plate;
  const close = (): void => setEditing(undefined);
  return (
    <Section
      title="Specified and fitted"
      empty="Battery, tyres, pressures, wipers, filters, bulbs, gaps: what should be there, and what is."
      isEmpty={specifications.length === 0}
      action="Add a specification"
      onAdd={() => setEditing(null)}
    >
      <SpecificationRows specifications={specifications} parts={parts} onEdit={setEditing} />
      {editing !== undefined && (
        <SpecificationForm
          specification={asItStands(specifications, editing)}
          machine={machine}
          onClose={close}
        />
      )}
    </Section>
  );
}

function Section({
  title,
  empty,
  isEmpty,
  action,
  aside,
  onAdd,
  children,
}: {
  readonly title: string;
  /** What belongs here, said where nothing is written yet. */
  readonly empty: string;
  readonly isEmpty: boolean;
  readonly action: string;
  readonly aside?: ReactNode;
  readonly onAdd: () => void;
  readonly children: ReactNode;
}): ReactElement {
  const id = title.replaceAll(" ", "-").toLowerCase();
  return (
    <section aria-labelledby={id} className="mb-9">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 id={id} className="mr-auto text-large font-bold">
          {title}
        </h2>
        {aside}
        <button type="button" className={QUIET_BUTTON} onClick={onAdd}>
          <Plus size={18} aria-hidden="true" />
          {action}
        </button>
      </div>
      {isEmpty && <p className="border-t border-hairline py-3 text-quiet">{empty}</p>}
      {children}
    </section>
  );
}
