import type { Order } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { TextField } from "../../../ui/fields.js";
import { useOrdering } from "./useOrders.js";

/** Closes what is still to come of a line: it will not come, and why. */
export function CloseLine({
  order,
  line,
}: {
  readonly order: Order;
  readonly line: number;
}): ReactElement {
  const { close, failure } = useOrdering();
  const [isOpen, setIsOpen] = useState(false);
  const [reason, setReason] = useState("");
  if (!isOpen) {
    return (
      <button
        type="button"
        aria-label={`It will not come: line ${line + 1}`}
        className="block min-h-9 text-clear hover:underline"
        onClick={() => setIsOpen(true)}
      >
        It will not come
      </button>
    );
  }
  return (
    <div className="space-y-1">
      <TextField autoFocus label="Why" value={reason} onChange={setReason} problem={failure} />
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => void close(order.id, line, reason)}
      >
        Close the line
      </button>
    </div>
  );
}
