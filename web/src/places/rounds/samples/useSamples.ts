import {
  judgeSamples,
  samplesOf,
  type Fluid,
  type JudgedSample,
  type Machine,
  type MachineBook,
  type MachineId,
  type Sample,
} from "@yonderfell/core";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";

/** A system of a machine with the samples that were taken of it. */
export interface SampledSystem {
  readonly machine: Machine;
  readonly fluid: Fluid;
  /** The oldest first. */
  readonly samples: readonly Sample[];
  /** Those of them that are answered and can be judged. */
  readonly judged: readonly JudgedSample[];
}

function systemsOf(
  machine: Machine,
  fluids: readonly Fluid[],
  samples: readonly Sample[],
): SampledSystem[] {
  return fluids.flatMap((fluid) => {
    const own = samplesOf(samples, fluid.id);
    return own.length === 0
      ? []
      : [{ machine, fluid, samples: own, judged: judgeSamples(own, machine) }];
  });
}

/** The systems that were ever sampled, those that wait for something first; undefined until read. */
export function useSampledSystems(): readonly SampledSystem[] | undefined {
  const { storage } = useBook();
  const read = async (): Promise<readonly SampledSystem[]> => {
    const samples = await storage.list("samples");
    const ids = [...new Set(samples.map(({ machine }) => machine))];
    const all = await Promise.all(
      ids.map(async (id) => {
        const [book, own] = await Promise.all([
          storage.machineBook(id),
          storage.ofMachine(id, ["fluids", "samples"]),
        ]);
        return book === null ? [] : systemsOf(book.machines[0], own.fluids, own.samples);
      }),
    );
    const isAwaited = ({ samples: own }: SampledSystem): number =>
      Number(own.some(({ result }) => !result));
    const last = ({ samples: own }: SampledSystem): string => own.at(-1)?.date ?? "";
    return all
      .flat()
      .toSorted(
        (one, other) => isAwaited(other) - isAwaited(one) || last(other).localeCompare(last(one)),
      );
  };
  return useLiveOf("samples", read, [storage]);
}

/** One system, with the machine's book and all its fluids. */
interface ShownSystem extends SampledSystem {
  readonly book: MachineBook;
}

/** One system of a machine, sampled or not yet: undefined until read, null where there is none. */
export function useSampledSystem(
  machine: MachineId,
  fluid: string,
): ShownSystem | null | undefined {
  const { storage } = useBook();
  const read = async (): Promise<ShownSystem | null> => {
    const [book, own] = await Promise.all([
      storage.machineBook(machine),
      storage.ofMachine(machine, ["fluids", "samples"]),
    ]);
    const found = own.fluids.find(({ id }) => id === fluid);
    if (book === null || found === undefined) return null;
    const samples = samplesOf(own.samples, found.id);
    const judged = judgeSamples(samples, book.machines[0]);
    return { machine: book.machines[0], fluid: found, samples, judged, book };
  };
  return useLiveOf(`${machine} ${fluid}`, read, [storage]);
}
