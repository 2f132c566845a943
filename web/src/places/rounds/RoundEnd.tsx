import {
  figureDoubt,
  meterReckoningOf,
  type DayNumber,
  type Meter,
  type MeterId,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { formatted } from "../shared/atTheMachine/figures.js";
import { useNavigate } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { FIELD, LARGE_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { counted } from "../../words/format.js";
import { typedNumber } from "../../words/writing.js";
import { Because } from "../shared/atTheMachine/Because.js";
import { placeWords } from "./roundWords.js";
import { keyOf, type InHand } from "./useInHand.js";
import type { ShownRound } from "./useRounds.js";
import type { Telling } from "./useTelling.js";
import { FoundList } from "./WalkedRound.js";

/** What a typed dial figure has against it, in words; empty where it fits. */
function doubtWords({ book }: ShownRound, { id }: Meter, text: string, today: DayNumber): string {
  const value = typedNumber(text);
  if (text.trim() === "") return "";
  if (value === null || value < 0) return "This is no figure of a dial.";
  const reckoning = meterReckoningOf(book, id, today);
  const doubt = reckoning === null ? null : figureDoubt(reckoning, today, value);
  if (doubt === null) return "";
  const other = formatted(doubt.againstDial);
  return doubt.code === "impossible-rise"
    ? `Far above ${other}, read before. Look again; if it is right, leave it out here and read the meter (R).`
    : `It does not fit with ${other}, read before. Look again; if the dial was replaced, leave it out here and read the meter (R).`;
}

/** The end of a round: what is still open, what was found, what the dials show. */
export function RoundEnd({
  shown,
  inHand: { open, go },
  telling,
}: {
  readonly shown: ShownRound;
  readonly inHand: InHand;
  readonly telling: Telling;
}): ReactElement {
  const { round, machine } = shown;
  const isBlank = (round.results ?? []).length === 0;
  const navigate = useNavigate();
  return (
    <section aria-label="End of the round" className="space-y-5">
      <h2 className="text-[1.625rem] leading-tight font-bold sm:text-[2.25rem]">
        {open.length === 0
          ? "All is looked at"
          : `${counted(open.length, "check")} still to be looked at`}
      </h2>
      {open.length > 0 && (
        <>
          <ul>
            {open.map((place) => (
              <li key={keyOf(place)} className="border-t border-hairline">
                <button
                  type="button"
                  className="flex min-h-12 w-full items-center text-left underline"
                  onClick={() => go(place)}
                >
                  {placeWords(place)}
                </button>
              </li>
            ))}
          </ul>
          {isBlank ? (
            <button
              type="button"
              className={QUIET_BUTTON}
              onClick={() => void telling.drop().then((isGone) => isGone && navigate("/rounds"))}
            >
              Throw it away: nothing was told
            </button>
          ) : (
            <Because
              label="Why the rest is left closed"
              action="Leave the rest closed"
              onBecause={telling.leaveRest}
            />
          )}
        </>
      )}
      <FoundList shown={shown} />
      {open.length === 0 && <Dials meters={machine.meters ?? []} {...{ shown, telling }} />}
    </section>
  );
}

/** What the dials show, where they are read, and the press that finishes the round. */
function Dials({
  meters,
  shown,
  telling,
}: {
  readonly meters: readonly Meter[];
  readonly shown: ShownRound;
  readonly telling: Telling;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [note, setNote] = useState("");
  const going = meters.filter(
    ({ id }) => (meterReckoningOf(shown.book, id, today)?.stoppedOn ?? null) === null,
  );
  const doubts = going.map((meter) => doubtWords(shown, meter, typed[meter.id] ?? "", today));
  const isSound = doubts.every((words) => words === "");
  const finish = (): Promise<boolean> => {
    const read = going.flatMap(({ id }) => {
      const value = typedNumber(typed[id] ?? "");
      return value === null ? [] : [[id, value] as const];
    });
    const dials = Object.fromEntries(read) as Record<MeterId, number>;
    return telling.finish({ meters: dials, note });
  };
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (isSound) void finish();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        {going.map((meter, at) => (
          <DialField
            key={meter.id}
            {...{ meter, doubt: doubts[at] ?? "", value: typed[meter.id] ?? "" }}
            onValue={(value) => setTyped({ ...typed, [meter.id]: value })}
          />
        ))}
        <WordField note={note} onNote={setNote} />
      </div>
      <button
        type="submit"
        data-action
        autoFocus
        className={`${LARGE_BUTTON} w-full sm:w-80`}
        disabled={!isSound}
      >
        Finish the round
      </button>
    </form>
  );
}

/** What one dial shows, and what that has against it. */
function DialField({
  meter,
  value,
  doubt,
  onValue,
}: {
  readonly meter: Meter;
  readonly value: string;
  readonly doubt: string;
  readonly onValue: (value: string) => void;
}): ReactElement {
  return (
    <label className="text-fine text-quiet">
      {meter.name} shows, {meter.unit}, if it is read
      <input
        className={`${FIELD} min-h-12 font-mono text-ink`}
        inputMode="decimal"
        autoComplete="off"
        aria-invalid={doubt !== ""}
        value={value}
        onChange={(event) => onValue(event.target.value)}
      />
      <span role="alert" className="font-semibold text-due empty:hidden">
        {doubt}
      </span>
    </label>
  );
}

function WordField({
  note,
  onNote,
}: {
  readonly note: string;
  readonly onNote: (note: string) => void;
}): ReactElement {
  return (
    <label className="text-fine text-quiet sm:col-span-2">
      A word on the round
      <input
        className={`${FIELD} min-h-12 text-ink`}
        autoComplete="off"
        value={note}
        onChange={(event) => onNote(event.target.value)}
      />
    </label>
  );
}
