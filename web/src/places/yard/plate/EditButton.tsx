import type { ReactElement } from "react";

/** Opens a record of the plate to be written down anew. */
export function EditButton({
  what,
  onEdit,
}: {
  readonly what: string;
  readonly onEdit: () => void;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={`Edit ${what}`}
      onClick={onEdit}
      className="self-start justify-self-start py-1 text-clear hover:underline max-lg:absolute max-lg:top-0 max-lg:right-0 max-lg:min-h-12 max-lg:min-w-12 max-lg:text-right lg:justify-self-end print:hidden"
    >
      Edit
    </button>
  );
}
