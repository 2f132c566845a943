import { dayOf } from "@yonderfell/core";
import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { EmptyPlace } from "../../../ui/EmptyPlace.js";
import { counted, fullDate, sentence } from "../../../words/format.js";
import { RoundsFrame } from "../RoundsFrame.js";
import { VerdictMark } from "../VerdictMark.js";
import { ADVICE_WORDS } from "../../../words/sampleAdvice.js";
import { whereWords } from "./sampleWords.js";
import { systemPath } from "../../shared/paths.js";
import { useSampledSystems, type SampledSystem } from "./useSamples.js";

/** The systems of all machines that were sampled: what waits first, then what each says. */
export default function SamplesPage(): ReactElement {
  const systems = useSampledSystems();
  return (
    <RoundsFrame
      title="Samples"
      aside={
        <Link to="/rounds/samples/new" className={PRIMARY_BUTTON}>
          <Plus size={18} aria-hidden="true" />
          Take a sample
        </Link>
      }
    >
      <p className="mb-3 max-w-[70ch] text-quiet">
        Oil or coolant in a bottle, to a laboratory: each is judged against the machine’s own
        earlier ones and the laboratory’s limits. One sample is a hint; its remarks and the maker
        win.
      </p>
      {systems?.length === 0 && (
        <EmptyPlace words="Nothing was sampled yet. Take a sample warm, from the middle of the drain or by a pump, into a clean bottle with its label." />
      )}
      <ul>
        {(systems ?? []).map((system) => (
          <SystemLine key={`${system.machine.id} ${system.fluid.id}`} system={system} />
        ))}
      </ul>
    </RoundsFrame>
  );
}

function SystemLine({ system }: { readonly system: SampledSystem }): ReactElement {
  const { machine, fluid, samples, judged } = system;
  const last = judged.at(-1);
  const awaited = samples.filter(({ result }) => !result);
  return (
    <li className="border-t border-hairline">
      <Link
        to={systemPath(machine.id, fluid.id)}
        className="grid items-start gap-x-6 gap-y-0.5 py-2.5 hover:bg-wash sm:grid-cols-[minmax(0,2fr)_minmax(0,2fr)_minmax(0,3fr)]"
      >
        <span>
          <span className="mr-2 font-mono font-bold">{machine.tag}</span> {machine.name}
          <span className="block text-quiet">{sentence(fluid.system)}</span>
        </span>
        <span>
          {last === undefined ? (
            <span className="text-quiet">nothing judged yet</span>
          ) : (
            <>
              <span className="flex items-center gap-2 font-semibold">
                <VerdictMark verdict={last.verdict} />
                {ADVICE_WORDS[last.advice]}
              </span>
              <span className="block text-fine text-quiet">
                by the sample of {fullDate(dayOf(last.sample.date))},{" "}
                {counted(samples.length, "sample")} in all
              </span>
            </>
          )}
        </span>
        <span>
          {awaited.map((sample) => (
            <strong key={sample.id} className="block font-semibold text-soon-text">
              {sample.label}: {whereWords(sample)}
            </strong>
          ))}
        </span>
      </Link>
    </li>
  );
}
