import { useState, type ReactElement, type ReactNode } from "react";
import { CHOICE_BUTTON, FIELD } from "../../ui/buttons.js";
import { formatted, typedAmount } from "../shared/atTheMachine/figures.js";

/** Pours that are at hand, litres. */
const SIZES = [0.1, 0.25, 0.5, 1] as const;

interface AmountProps {
  /** `in` or `out`, as it is called beside the field. */
  readonly what: string;
  readonly verb: string;
  readonly onAmount: (amount: number, typed: string) => Promise<boolean>;
}

/** Tells of an amount: by the sizes at hand, by a bottle's mark from and down to, or typed. */
export function AmountFields({
  hasSizes,
  ...props
}: AmountProps & { readonly hasSizes: boolean }): ReactElement {
  const [bottle, setBottle] = useState<{ readonly from: string; readonly to: string } | null>(null);
  return (
    <div className="space-y-2">
      {hasSizes && <Sizes {...props} />}
      <Typed {...props}>
        {hasSizes && (
          <button
            type="button"
            aria-expanded={bottle !== null}
            className={CHOICE_BUTTON}
            onClick={() => setBottle(bottle === null ? { from: "", to: "" } : null)}
          >
            By the bottle
          </button>
        )}
      </Typed>
      {bottle !== null && (
        <Bottle
          bottle={bottle}
          onBottle={setBottle}
          onAmount={async (poured, typed) => {
            // What is left in it is where the next pour begins.
            if (await props.onAmount(poured, typed)) setBottle({ from: bottle.to, to: "" });
          }}
        />
      )}
    </div>
  );
}

/** Pours of the sizes at hand, each one press. */
function Sizes({ what, onAmount }: AmountProps): ReactElement {
  return (
    <div className="flex gap-2">
      {SIZES.map((size) => (
        <button
          key={size}
          type="button"
          aria-label={`${formatted(size)} L ${what}`}
          className={`${CHOICE_BUTTON} font-mono`}
          onClick={() => void onAmount(size, formatted(size))}
        >
          {formatted(size)}
        </button>
      ))}
    </div>
  );
}

/** An amount as it is typed. */
function Typed({
  what,
  verb,
  onAmount,
  children,
}: AmountProps & { readonly children: ReactNode }): ReactElement {
  const [text, setText] = useState("");
  const amount = typedAmount(text);
  const told = async (): Promise<void> => {
    if (amount !== null && (await onAmount(amount, text.trim()))) setText("");
  };
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void told();
      }}
    >
      <label className="flex-1">
        <span className="sr-only">Litres {what}</span>
        <input
          className={`${FIELD} min-h-14 max-sm:min-h-14 font-mono text-large`}
          inputMode="decimal"
          autoComplete="off"
          placeholder={`litres ${what}`}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <button type="submit" className={CHOICE_BUTTON} disabled={amount === null}>
        {amount === null ? verb : `${verb} ${formatted(amount)} L`}
      </button>
      {children}
    </form>
  );
}

/** What a bottle's own mark says went out of it: from so much down to so much. */
function Bottle({
  bottle: { from, to },
  onBottle,
  onAmount,
}: {
  readonly bottle: { readonly from: string; readonly to: string };
  readonly onBottle: (bottle: { readonly from: string; readonly to: string }) => void;
  readonly onAmount: (amount: number, typed: string) => Promise<void>;
}): ReactElement {
  const [full, left] = [typedAmount(from), to.trim() === "0" ? 0 : typedAmount(to)];
  const poured = full === null || left === null || left >= full ? null : full - left;
  return (
    <div className="flex items-end gap-2">
      <label className="flex-1 text-fine text-quiet">
        Bottle from
        <input
          className={`${FIELD} min-h-14 max-sm:min-h-14 font-mono text-large text-ink`}
          inputMode="decimal"
          autoComplete="off"
          value={from}
          onChange={(event) => onBottle({ from: event.target.value, to })}
        />
      </label>
      <label className="flex-1 text-fine text-quiet">
        down to
        <input
          className={`${FIELD} min-h-14 max-sm:min-h-14 font-mono text-large text-ink`}
          inputMode="decimal"
          autoComplete="off"
          value={to}
          onChange={(event) => onBottle({ from, to: event.target.value })}
        />
      </label>
      <button
        type="button"
        className={CHOICE_BUTTON}
        disabled={poured === null}
        onClick={() => poured !== null && void onAmount(poured, `${from} → ${to}`)}
      >
        {poured === null ? "Poured" : `Poured ${formatted(poured)} L`}
      </button>
    </div>
  );
}
