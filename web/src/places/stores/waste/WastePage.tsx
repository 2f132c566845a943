import {
  containerAhead,
  type ContainerStanding,
  type DrainAhead,
  type WasteMove,
} from "@yonderfell/core";
import { FileText, Plus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useShelves } from "../../../session/useShelves.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { shortDate } from "../../../words/format.js";
import { quantityWords } from "../../../words/quantityWords.js";
import { StoresFrame } from "../StoresFrame.js";
import { ContainerBar } from "./ContainerBar.js";
import { ContainerDialog } from "./ContainerDialog.js";
import { HandedIn } from "./HandedIn.js";
import { useDrainsAhead } from "./useDrainsAhead.js";
import { WasteDialog } from "./WasteDialog.js";
import { KIND_CAUTIONS, wasteAmount } from "./wasteWords.js";
import { stockWords } from "../stockWords.js";

type Doing =
  | { readonly held: ContainerStanding; readonly why: WasteMove["why"] | "change" }
  | null
  | undefined;

/** What waits to be handed in, container by container, and whether the next drains still fit. */
export default function WastePage(): ReactElement {
  const { shelves, failure } = useShelves();
  const [doing, setDoing] = useState<Doing>();
  const drains = useDrainsAhead();
  const close = (): void => setDoing(undefined);
  const kinds = new Set((shelves?.held ?? []).map(({ container }) => container.kind));
  const homeless = (shelves?.waste ?? []).filter(({ kind }) => !kinds.has(kind));
  return (
    <StoresFrame
      title="Waste"
      aside={
        <div className="flex flex-wrap gap-3">
          <Link to="/stores/waste/year" className={QUIET_BUTTON}>
            <FileText size={18} aria-hidden="true" />
            The year’s sheet
          </Link>
          <button type="button" className={PRIMARY_BUTTON} onClick={() => setDoing(null)}>
            <Plus size={18} aria-hidden="true" />
            Add a container
          </button>
        </div>
      }
    >
      <p className="mb-3 max-w-[70ch] text-quiet">
        What jobs drain goes into the container of its kind by itself. Oil, coolant, brake fluid and
        fuel never in one; local rules win.
      </p>
      {failure !== "" && <p role="alert">The containers were not reckoned: {failure}</p>}
      {homeless.length > 0 && (
        <p className="mb-3 border-l-4 border-due py-1 pl-3">
          <strong className="text-due">In no container: </strong>
          {homeless.map(({ kind, standing }) => `${kind}, ${wasteAmount(standing)}`).join("; ")}.
          Add one of each kind, so that it is known where it stands.
        </p>
      )}
      <ul className="max-w-4xl">
        {(shelves?.held ?? []).map((held) => (
          <Held
            key={held.container.id}
            held={held}
            next={held.container.inUse === true ? (drains.get(held.container.kind) ?? []) : []}
            onDo={(why) => setDoing({ held, why })}
          />
        ))}
      </ul>
      <HandedIn />
      {doing === null && <ContainerDialog container={null} isEmpty onClose={close} />}
      {doing && doing.why === "change" && (
        <ContainerDialog
          container={doing.held.container}
          isEmpty={wasteAmount(doing.held.standing) === "none"}
          onClose={close}
        />
      )}
      {doing && doing.why !== "change" && (
        <WasteDialog held={doing.held} why={doing.why} onClose={close} />
      )}
    </StoresFrame>
  );
}

function Held({
  held,
  next,
  onDo,
}: {
  readonly held: ContainerStanding;
  readonly next: readonly DrainAhead[];
  readonly onDo: (why: WasteMove["why"] | "change") => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { container, standing, full } = held;
  const machines = useAppSelector((state) => state.board.machines);
  const { afterNext, tooMuch } = containerAhead(held, next);
  const tag = machines.find(({ machine }) => machine.id === tooMuch?.machine)?.machine.tag ?? "";
  const isOver = full !== null && full >= 1;
  return (
    <li className="grid items-start gap-x-6 gap-y-1 border-t border-hairline py-3 lg:grid-cols-[5rem_1fr_auto]">
      <ContainerBar full={full} next={afterNext} />
      <div>
        <h2 className="text-large leading-tight font-bold">{container.name}</h2>
        <p>
          {container.kind}, <strong className="tabular-nums">{wasteAmount(standing)}</strong>
          {container.holds ? ` of ${quantityWords(container.holds)}` : ""}
          {container.inUse === true ? ", in use" : ", put aside"}
        </p>
        {standing.litres < 0 && (
          <p className="font-semibold text-overdue">
            More was handed in than went in: look at the receipts, or at what jobs drained.
          </p>
        )}
        {isOver && <p className="font-semibold text-overdue">Full: hand it in.</p>}
        {!isOver && tooMuch !== null && (
          <p className="font-semibold text-due">
            The next drains do not fit: full with {tag} on {shortDate(tooMuch.day, today)},{" "}
            {stockWords(tooMuch.litres)} L. Hand it in before.
          </p>
        )}
        <p className="text-fine text-quiet">{KIND_CAUTIONS[container.kind]}</p>
      </div>
      <HeldActions name={container.name} isUrgent={isOver || tooMuch !== null} onDo={onDo} />
    </li>
  );
}

function HeldActions({
  name,
  isUrgent,
  onDo,
}: {
  readonly name: string;
  readonly isUrgent: boolean;
  readonly onDo: (why: WasteMove["why"] | "change") => void;
}): ReactElement {
  return (
    <div className="flex flex-wrap gap-2">
      <button
        type="button"
        className={isUrgent ? PRIMARY_BUTTON : QUIET_BUTTON}
        aria-label={`Hand in ${name}`}
        onClick={() => onDo("handed-in")}
      >
        Hand in
      </button>
      <button
        type="button"
        className={QUIET_BUTTON}
        aria-label={`Put in something: ${name}`}
        onClick={() => onDo("filled")}
      >
        Put in
      </button>
      <button
        type="button"
        className={QUIET_BUTTON}
        aria-label={`Change ${name}`}
        onClick={() => onDo("change")}
      >
        Change
      </button>
    </div>
  );
}
