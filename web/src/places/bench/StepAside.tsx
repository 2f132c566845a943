import { SearchCheck } from "lucide-react";
import { useState, type ReactElement } from "react";
import { findingOpened } from "../../session/session.js";
import { useAppDispatch } from "../../session/store.js";
import { PlugPanel } from "../shared/plug/PlugPanel.js";
import { PhotographButton } from "../shared/pictures/PhotographButton.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { Because } from "../shared/atTheMachine/Because.js";
import type { StepProps } from "./stepProps.js";

const ASIDE = `${QUIET_BUTTON} min-h-12 w-full justify-center`;

/** What can be done beside a step: leave it out, photograph it, note a finding, note a word. */
export function StepAside(props: StepProps): ReactElement {
  const { step, standing, taps, shown, plug } = props;
  const dispatch = useAppDispatch();
  const [isLeaving, setIsLeaving] = useState(false);
  const isClosed = standing.state === "done" || standing.state === "skipped";
  return (
    <div className="space-y-2">
      <Photograph key={step.id} {...props} />
      <button
        type="button"
        className={ASIDE}
        onClick={() => dispatch(findingOpened(shown.machine.id))}
      >
        <SearchCheck size={18} aria-hidden="true" />
        Note a finding
      </button>
      {!isClosed && (
        <button
          type="button"
          aria-expanded={isLeaving}
          className={ASIDE}
          onClick={() => setIsLeaving(!isLeaving)}
        >
          Leave this step out
        </button>
      )}
      {isLeaving && !isClosed && (
        <Because
          label="Why it is left out"
          action="Leave out"
          onBecause={async (reason) => {
            const isTaken = await taps.tell(step.id, { do: "skip", reason });
            if (isTaken) setIsLeaving(false);
            return isTaken;
          }}
        />
      )}
      {(!step.window || plug.state === "live") && (
        <PlugPanel plug={plug} machine={shown.machine.id} />
      )}
      <Because
        label="Note a word on it"
        action="Note"
        onBecause={(text) => taps.tell(step.id, { do: "note", text })}
      />
    </div>
  );
}

/** A picture of the step, as it came apart. */
function Photograph({ step, taps, shown }: StepProps): ReactElement {
  const taken = shown.run
    .told()
    .filter((event) => event.step === step.id)
    .reduce((sum, { pictures }) => sum + (pictures ?? []).length, 0);
  return (
    <PhotographButton
      label="Photograph the step"
      taken={taken}
      className={ASIDE}
      onTaken={(hash) =>
        taps.tell(step.id, { do: "note", pictures: [{ hash, caption: step.name ?? "" }] })
      }
    />
  );
}
