import type { ReactElement } from "react";
import { RadioGroup } from "radix-ui";
import { RadioChoice } from "../../ui/RadioChoice.js";
import { fluidDoubtWords } from "../../words/plannedWords.js";
import { useCurrency } from "../shared/currency/useCurrency.js";
import { toppedUpWords } from "./topUpWords.js";
import type { TopUpState } from "./useTopUp.js";

/** What a top-up is taken to be of; where the machine has several systems it asks which. */
export function ToppedUp({ topUp }: { readonly topUp: TopUpState }): ReactElement {
  const { systems, chosen, doubts, isAsked, choose } = topUp;
  const currency = useCurrency();
  if (systems.length === 0) {
    return (
      <p className="text-due">
        No fluid is written on this machine&apos;s plate yet; write down what it holds first.
      </p>
    );
  }
  return (
    <div className="space-y-2">
      {isAsked && (
        <RadioGroup.Root
          value={chosen?.fluid.id ?? ""}
          onValueChange={choose}
          aria-label="What was topped up"
          className="grid gap-x-6 sm:grid-cols-2"
        >
          {systems.map(({ id, system, kind }) => (
            <RadioChoice key={id} value={id} label={system} rest={kind} />
          ))}
        </RadioGroup.Root>
      )}
      {chosen !== null && (
        <p>
          {chosen.fluid.system}: <strong>{toppedUpWords(chosen, currency)}</strong>
        </p>
      )}
      {chosen !== null &&
        doubts.map((doubt) => (
          <p key={doubt.code} className="font-semibold text-due">
            {fluidDoubtWords(doubt, chosen.fluid)}
          </p>
        ))}
      {chosen?.fluid.kind === "brake fluid" && (
        <p className="text-soon-text">
          A level that fell means worn linings or a leak: look for it before adding any.
        </p>
      )}
    </div>
  );
}
