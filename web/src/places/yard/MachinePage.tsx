import type { BoardMachine, MachineId } from "@yonderfell/core";
import { useLiveOf } from "../../data/useLiveOf.js";
import type { ReactElement } from "react";
import { useParams, useSearchParams } from "react-router";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { ungrouped } from "../../ui/board/boardGroup.js";
import { ReachBoard } from "../../ui/board/ReachBoard.js";
import { sentence } from "../../words/format.js";
import { Findings } from "./Findings.js";
import { InUse } from "./InUse.js";
import { MachineFrame, useMachineOfAddress } from "./MachineFrame.js";
import { MachineHistory } from "./MachineHistory.js";
import { OnTheBench } from "./OnTheBench.js";
import { RunningIn } from "./RunningIn.js";
import { MeterBlock } from "./meters/MeterBlock.js";
import { Terms } from "../../ui/Term.js";

/** A machine: what it is, what its meters show, how far its tasks reach, what was done to it. */
export default function MachinePage(): ReactElement {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const marked = useSearchParams()[0].get("entry");
  const { storage } = useBook();
  const machine = useMachineOfAddress();
  const book = useLiveOf(id, () => storage.machineBook(id), [storage]);
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && (
        <>
          <WhatItIs machine={machine} />
          <OnTheBench machine={machine} />
          <Findings machine={machine.machine} />
          <RunningIn machine={machine} />
          <Meters machine={machine} />
          <Reaches machine={machine} />
          <Terms words={["grace", "stale", "laid up", "assumed"]} />
          {book !== undefined && book !== null && (
            <>
              <InUse book={book} />
              <MachineHistory key={marked} book={book} marked={marked} />
            </>
          )}
        </>
      )}
    </MachineFrame>
  );
}

function WhatItIs({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const { kind, description, inService, history, regime, registration } = machine.machine;
  const facts = [
    sentence(kind),
    description ?? "",
    registration ?? "",
    inService === null || inService === undefined
      ? "in service since a day not recorded"
      : `in service since ${inService.slice(0, 4)}`,
    history === "unknown" ? "history before not known" : "history known",
    `${regime ?? "handbook"} intervals`,
  ];
  return <p className="mb-4 text-quiet">{facts.filter((fact) => fact !== "").join(" · ")}</p>;
}

function Meters({ machine }: { readonly machine: BoardMachine }): ReactElement {
  return (
    <section
      aria-label="Meters"
      className="mb-6 flex flex-wrap gap-x-14 gap-y-4 border-t border-rule pt-3"
    >
      {machine.meters.map((meter) => (
        <MeterBlock key={meter.meter.id} meter={meter} machine={machine.machine.id} />
      ))}
      {machine.meters.length === 0 && <p>It has no meters: its tasks go by the calendar.</p>}
    </section>
  );
}

function Reaches({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  return (
    <section aria-labelledby="ahead-here">
      <h2 id="ahead-here" className="text-large font-bold">
        Ahead
      </h2>
      <ReachBoard groups={ungrouped([machine])} today={today} namesMachines={false} />
    </section>
  );
}
