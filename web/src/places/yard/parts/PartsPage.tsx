import type { BoardMachine, Fitment, Part, Task } from "@yonderfell/core";
import { Plus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { asItStands } from "../../../form/typed.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { figure } from "../../../words/format.js";
import { cheapestFirst, orderWords, priceWords } from "../../../words/partWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { EditButton } from "../plate/EditButton.js";
import { usePlate } from "../usePlate.js";
import { FitmentForm } from "./FitmentForm.js";

/** The parts a machine takes: where, on which side, how many, for what. */
export default function PartsPage(): ReactElement {
  const machine = useMachineOfAddress();
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && <Parts key={machine.machine.id} machine={machine} />}
    </MachineFrame>
  );
}

function Parts({ machine }: { readonly machine: BoardMachine }): ReactElement | null {
  const found = usePlate(machine.machine.id);
  const [editing, setEditing] = useState<Fitment | null | undefined>();
  if (found === undefined) return null;
  const { plate, parts } = found;
  const tasks = machine.tasks.map(({ task }) => task);
  return (
    <section aria-labelledby="takes">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 id="takes" className="mr-auto text-large font-bold">
          Parts it takes
        </h2>
        <Link to="/stores/numbers" className={QUIET_BUTTON}>
          All parts
        </Link>
        <button type="button" className={QUIET_BUTTON} onClick={() => setEditing(null)}>
          <Plus size={18} aria-hidden="true" />
          Add a part it takes
        </button>
      </div>
      {plate.fitments.length === 0 && (
        <p className="border-t border-hairline py-3 text-quiet">
          Which filters, belts, plugs and seals it takes, where, on which side, and how many a
          service.
        </p>
      )}
      <ul>
        {plate.fitments.map((fitment) => (
          <FitmentRow
            key={fitment.id}
            fitment={fitment}
            part={parts.find((one) => one.id === fitment.part)}
            tasks={tasks}
            onEdit={() => setEditing(fitment)}
          />
        ))}
      </ul>
      {editing !== undefined && (
        <FitmentForm
          fitment={asItStands(plate.fitments, editing)}
          machine={machine.machine}
          parts={parts}
          tasks={tasks}
          onClose={() => setEditing(undefined)}
        />
      )}
    </section>
  );
}

function FitmentRow({
  fitment,
  part,
  tasks,
  onEdit,
}: {
  readonly fitment: Fitment;
  readonly part: Part | undefined;
  readonly tasks: readonly Task[];
  readonly onEdit: () => void;
}): ReactElement {
  const currency = useCurrency();
  const { position, side, perService, note } = fitment;
  const needed = (fitment.tasks ?? []).map(
    (id) => tasks.find((task) => task.id === id)?.name ?? id,
  );
  const [cheapest] = cheapestFirst(part?.prices);
  const where = [position ?? "", side ?? ""].filter(Boolean).join(", ");
  return (
    <li className="relative grid items-start gap-x-6 gap-y-0.5 border-t border-hairline py-2 lg:grid-cols-[3rem_minmax(14rem,1fr)_minmax(9rem,0.7fr)_minmax(12rem,1fr)_minmax(9rem,0.7fr)_3.5rem]">
      <span className="font-bold tabular-nums">{figure(perService ?? 1)} ×</span>
      <span className="leading-tight">
        <span className="block font-medium">{part?.name ?? fitment.part}</span>
        <span className="text-fine text-quiet">
          {[note ?? "", part?.note ?? ""].filter(Boolean).join(" ")}
        </span>
      </span>
      <span className="leading-tight">
        <span className="font-mono font-semibold">
          {part === undefined ? "" : orderWords(part)}
        </span>
        {(part?.pack ?? 1) > 1 && (
          <span className="block text-fine text-quiet">packs of {part?.pack}</span>
        )}
      </span>
      <span className="leading-tight">
        {where !== "" && <span className="block">{where}</span>}
        <span className="text-fine text-quiet">{needed.join("; ")}</span>
      </span>
      <span className="tabular-nums">
        {cheapest === undefined ? "" : priceWords(cheapest, currency)}
      </span>
      <EditButton what={part?.name ?? "part"} onEdit={onEdit} />
    </li>
  );
}
