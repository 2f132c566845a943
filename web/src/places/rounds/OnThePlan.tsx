import { checkLimits, goesBy, symbolOf, wearOf, type CheckPlace } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { machinePath } from "../shared/paths.js";
import { placeWords, wearWords } from "./roundWords.js";
import type { ShownRound } from "./useRounds.js";

/** How what was measured wears, and the task that is due by it; or the way to have one. Nothing of what does not wear. */
export function OnThePlan({
  shown,
  place,
}: {
  readonly shown: ShownRound;
  readonly place: CheckPlace;
}): ReactElement | null {
  const today = useAppSelector((state) => state.session.today);
  const { book, machine, settings, round } = shown;
  const limits = checkLimits(place.check, shown.specifications);
  if (limits === null || !place.check.wears) return null;
  const wear = wearOf(book, place, limits, settings, today);
  const unit = (machine.meters ?? []).find(({ id }) => id === wear.meter)?.unit ?? "";
  const task = book.tasks.find((one) => goesBy(one, place));
  const search = new URLSearchParams({
    measure: JSON.stringify([round.checklist, place.check.id]),
    ...(place.point === null ? {} : { point: place.point }),
  });
  return (
    <span className="block">
      {wearWords(wear, symbolOf(limits.unit), unit, today)}{" "}
      {task === undefined ? (
        wear.limit !== null && (
          <Link
            to={machinePath(machine.id, `/plan/task/new?${search.toString()}`)}
            aria-label={`Put it on the plan: ${placeWords(place)}`}
            className="text-clear underline print:hidden"
          >
            Put it on the plan
          </Link>
        )
      ) : (
        <>
          On the plan:{" "}
          <Link
            to={machinePath(machine.id, `/plan/task/${encodeURIComponent(task.id)}`)}
            className="text-clear underline"
          >
            {task.name}
          </Link>
        </>
      )}
    </span>
  );
}
