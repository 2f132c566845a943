import type { MachineId } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { Link, useSearchParams } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { SelectField } from "../../ui/fields.js";
import { Page } from "../../ui/Page.js";
import { CardBefore } from "./CardBefore.js";

/** How the way chosen for a task stands in the address. */
const WAY = "way.";

/** The ways that the address names, by task. */
function waysOf(search: URLSearchParams): ReadonlyMap<string, string> {
  const named = [...search].filter(([key]) => key.startsWith(WAY));
  return new Map(named.map(([key, way]) => [key.slice(WAY.length), way]));
}

/** A job before it begins: for which machine and what, then its card to be looked through. */
export default function StartPage(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const machines = useAppSelector((state) => state.board.machines);
  const id = search.get("machine") ?? "";
  const tasks = useMemo(() => search.getAll("task"), [search]);
  const findings = useMemo(() => search.getAll("finding"), [search]);
  const ways = useMemo(() => waysOf(search), [search]);
  const machine = machines.find((one) => one.machine.id === id);
  const title = machine === undefined ? "" : `: ${machine.machine.tag} ${machine.machine.name}`;
  return (
    <Page title={`Begin a job${title}`}>
      {id === "" && (
        <div className="max-w-96">
          <SelectField
            label="On which machine"
            value=""
            choices={[
              ["", "choose"],
              ...machines.map(
                ({ machine: one }) => [one.id as string, `${one.tag} ${one.name}`] as const,
              ),
            ]}
            onChange={(chosen) => setSearch(chosen === "" ? {} : { machine: chosen })}
          />
        </div>
      )}
      {id !== "" && (
        <CardBefore
          key={id}
          machine={id as MachineId}
          tasks={tasks}
          findings={findings}
          ways={ways}
          onWay={(task, way) => {
            const next = new URLSearchParams(search);
            if (way === "") next.delete(`${WAY}${task}`);
            else next.set(`${WAY}${task}`, way);
            setSearch(next, { replace: true });
          }}
          visit={search.get("visit")}
          onTasks={(chosen) => {
            const next = new URLSearchParams(search);
            next.delete("task");
            for (const task of chosen) next.append("task", task);
            setSearch(next, { replace: true });
          }}
        />
      )}
      <p className="mt-6">
        <Link to="/bench" className="text-clear underline">
          All jobs
        </Link>
      </p>
    </Page>
  );
}
