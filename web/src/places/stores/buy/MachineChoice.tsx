import type { MachineId } from "@yonderfell/core";
import { ChevronDown } from "lucide-react";
import { Popover } from "radix-ui";
import type { ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { FIELD } from "../../../ui/buttons.js";
import { counted } from "../../../words/format.js";

/** For which machines one buys: all, or those ticked. */
export function MachineChoice({
  chosen,
  onChange,
}: {
  readonly chosen: readonly MachineId[] | null;
  /** Their ids apart by commas; null for all. */
  readonly onChange: (ids: string | null) => void;
}): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const isIn = (id: MachineId): boolean => chosen === null || chosen.includes(id);
  const toggle = (id: MachineId): void => {
    const all = machines.map(({ machine }) => machine.id);
    const next = all.filter((one) => (one === id ? !isIn(one) : isIn(one)));
    onChange(next.length === all.length ? null : next.join(","));
  };
  const words = chosen === null ? "All machines" : counted(chosen.length, "machine");
  return (
    <div className="text-fine text-quiet">
      <span id="for-machines">For</span>
      <Popover.Root>
        <Popover.Trigger
          aria-labelledby="for-machines for-machines-said"
          className={`${FIELD} flex w-52 items-center justify-between text-field text-ink`}
        >
          <span id="for-machines-said">{words}</span>
          <ChevronDown size={18} aria-hidden="true" />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={4}
            aria-label="Machines"
            className="z-40 max-h-[60vh] w-80 overflow-y-auto border border-rule bg-raised p-3"
          >
            <div className="mb-2 flex gap-4">
              <All words="All of them" onPress={() => onChange(null)} />
              <All words="None" onPress={() => onChange("")} />
            </div>
            {machines.map(({ machine }) => (
              <label key={machine.id} className="flex min-h-9 items-center gap-2">
                <input
                  type="checkbox"
                  checked={isIn(machine.id)}
                  onChange={() => toggle(machine.id)}
                />
                <span className="font-mono font-bold">{machine.tag}</span> {machine.name}
              </label>
            ))}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}

function All({
  words,
  onPress,
}: {
  readonly words: string;
  readonly onPress: () => void;
}): ReactElement {
  return (
    <button type="button" className="min-h-10 text-clear hover:underline" onClick={onPress}>
      {words}
    </button>
  );
}
