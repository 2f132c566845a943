import { useState, type ReactElement } from "react";
import { useNavigate } from "react-router";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { Because } from "../shared/atTheMachine/Because.js";
import type { Taps } from "./useTaps.js";

const WIDE = `${QUIET_BUTTON} min-h-12 w-full justify-center`;

/** Puts a job down for now and says what it waits for, takes it up again, or gives it up while nothing is done. */
export function PutDown({
  taps,
  who,
}: {
  readonly taps: Taps;
  readonly who: string;
}): ReactElement {
  const navigate = useNavigate();
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className={WIDE}
        disabled={who === ""}
        onClick={() => void taps.takeUp(who)}
      >
        {who === "" ? "Say who is here to take it up" : "Take it up"}
      </button>
      <button
        type="button"
        aria-expanded={isOpen}
        className={WIDE}
        onClick={() => setIsOpen(!isOpen)}
      >
        Put it down
      </button>
      {isOpen && (
        <>
          <Because
            label="What it waits for"
            action="Put down"
            onBecause={async (why) => {
              const isTaken = await taps.putDown(why);
              if (isTaken) void navigate("/bench");
              return isTaken;
            }}
          />
          <button
            type="button"
            className={WIDE}
            onClick={() => void taps.giveUp().then((isTaken) => isTaken && navigate("/bench"))}
          >
            Give it up: nothing was done
          </button>
        </>
      )}
    </>
  );
}
