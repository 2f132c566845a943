import { dayOf, type MachineId, type Sample } from "@yonderfell/core";
import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { Link, useParams } from "react-router";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import NotFound from "../../../ui/NotFound.js";
import { amount, fullDate, sentence } from "../../../words/format.js";
import { machinePath } from "../../shared/paths.js";
import { RoundsFrame } from "../RoundsFrame.js";
import { VerdictMark } from "../VerdictMark.js";
import { Awaited } from "./Awaited.js";
import { FiguresTable } from "./FiguresTable.js";
import { Follows } from "./Follows.js";
import { SampleCharts } from "./SampleCharts.js";
import { ADVICE_WORDS } from "../../../words/sampleAdvice.js";
import { lifeUnit, standsOnWords, whereWords } from "./sampleWords.js";
import { useSampledSystem } from "./useSamples.js";

type Shown = NonNullable<ReturnType<typeof useSampledSystem>>;

/** The samples of one system: what waits for an answer, what the last one says and what follows, how its figures went. */
export default function SystemPage(): ReactElement | null {
  const { machineId = "", fluidId = "" } = useParams();
  const shown = useSampledSystem(machineId as MachineId, fluidId);
  if (shown === undefined) return null;
  if (shown === null) return <NotFound />;
  const { machine, fluid, samples } = shown;
  const search = new URLSearchParams({ machine: machine.id, fluid: fluid.id });
  return (
    <RoundsFrame
      title={`${machine.tag} ${fluid.system}: samples`}
      aside={
        <Link to={`/rounds/samples/new?${search.toString()}`} className={PRIMARY_BUTTON}>
          <Plus size={18} aria-hidden="true" />
          Take a sample
        </Link>
      }
    >
      <p className="mb-4 text-quiet">
        <Link to={machinePath(machine.id)} className="text-clear underline">
          {machine.name}
        </Link>
        , {fluid.system}
      </p>
      {samples
        .filter(({ result, online }) => !result || online === true)
        .toReversed()
        .map((sample) => (
          <Awaited key={sample.id} {...{ machine, sample }} />
        ))}
      <Judged shown={shown} />
      <AllSamples shown={shown} />
    </RoundsFrame>
  );
}

/** What the last sample that can be judged says. */
function Judged({ shown }: { readonly shown: Shown }): ReactElement | null {
  const last = shown.judged.at(-1);
  if (last === undefined) return null;
  const { remarks, advice } = last.sample.result ?? {};
  return (
    <section aria-labelledby="says" className="mb-8">
      <h2 id="says" className="text-large font-bold">
        What the sample of {fullDate(dayOf(last.sample.date))} says
      </h2>
      <p className="mt-1 flex items-center gap-3 text-[1.75rem] font-bold">
        <VerdictMark verdict={last.verdict} />
        {ADVICE_WORDS[last.advice]}
      </p>
      <p className="mb-3 max-w-[70ch]">
        {standsOnWords(last)}
        {(remarks ?? advice) && <> The laboratory: “{remarks ?? advice}”</>}
      </p>
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,5fr)_minmax(0,3fr)]">
        <FiguresTable machine={shown.machine} judged={last} />
        <Follows {...shown} judged={last} />
      </div>
      <SampleCharts machine={shown.machine} judged={shown.judged} />
    </section>
  );
}

/** Every sample of the system, the latest first. */
function AllSamples({ shown }: { readonly shown: Shown }): ReactElement {
  const { machine, samples, judged } = shown;
  return (
    <section aria-labelledby="all">
      <h2 id="all" className="text-large font-bold">
        All samples
      </h2>
      {samples.length === 0 && (
        <p className="py-2 text-quiet">This system has not been sampled yet.</p>
      )}
      <ul>
        {samples.toReversed().map((sample) => {
          const says = judged.find((one) => one.sample.id === sample.id);
          return (
            <li
              key={sample.id}
              className="grid items-center gap-x-6 border-t border-hairline py-2 sm:grid-cols-[8rem_9rem_minmax(0,2fr)_minmax(0,2fr)_auto]"
            >
              <strong className="font-mono">{sample.label ?? "no label"}</strong>
              <span>{fullDate(dayOf(sample.date))}</span>
              <span className="text-quiet">
                {livesWords(machine, sample)} · {whereWords(sample)}
              </span>
              <span className="flex items-center gap-2">
                {says !== undefined && (
                  <>
                    <VerdictMark verdict={says.verdict} />
                    {ADVICE_WORDS[says.advice]}
                  </>
                )}
                {says === undefined && sample.result && (
                  <strong className="font-semibold text-soon-text">
                    Not judged: how long the oil has run is not known. Correct it.
                  </strong>
                )}
              </span>
              <span className="flex gap-3 print:hidden">
                <Link
                  to={`/rounds/samples/new?${new URLSearchParams({ machine: machine.id, corrects: sample.id }).toString()}`}
                  className={QUIET_BUTTON}
                >
                  Correct
                  <span className="sr-only"> {sample.label}</span>
                </Link>
                <Link
                  to={`/rounds/samples/label/${encodeURIComponent(machine.id)}/${encodeURIComponent(sample.id)}`}
                  className={QUIET_BUTTON}
                >
                  Label
                  <span className="sr-only"> of {sample.label}</span>
                </Link>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** How old the oil was, and the machine. */
function livesWords(machine: Shown["machine"], sample: Sample): string {
  const unit = lifeUnit(machine, sample);
  const { oilLife, life } = sample;
  return [
    oilLife === null || oilLife === undefined
      ? "oil of unknown age"
      : `oil ${amount(oilLife, unit)}`,
    life === null || life === undefined ? "" : sentence(`at ${amount(life, unit)}`).toLowerCase(),
  ]
    .filter((words) => words !== "")
    .join(", ");
}
