import type { ReactElement } from "react";
import { EmptyPlace } from "../../ui/EmptyPlace.js";

/** What stands on Ahead before the book has a machine. */
export default function EmptyAhead(): ReactElement {
  return (
    <EmptyPlace words="What falls due on your machines stands here, one strip a task, as far as each still reaches: by distance, by hours and by the calendar. It needs a machine, what its meter shows, and a plan." />
  );
}
