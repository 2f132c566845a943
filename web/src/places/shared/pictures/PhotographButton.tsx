import { Camera } from "lucide-react";
import { useRef, type ReactElement } from "react";
import { useTakingPicture } from "./useTakingPicture.js";

/** Takes a picture and keeps it: on a phone the camera is offered. */
export function PhotographButton({
  label,
  taken,
  className,
  onTaken,
}: {
  /** What the field is called for those who hear it. */
  readonly label: string;
  /** How many there are already. */
  readonly taken: number;
  readonly className: string;
  readonly onTaken: (hash: string) => Promise<unknown>;
}): ReactElement {
  const { isWorking, failure, take } = useTakingPicture();
  const input = useRef<HTMLInputElement>(null);
  const keep = async (file: File): Promise<void> => {
    const hash = await take(file);
    if (hash !== null) await onTaken(hash);
  };
  return (
    <>
      <button
        type="button"
        className={className}
        disabled={isWorking}
        onClick={() => input.current?.click()}
      >
        <Camera size={18} aria-hidden="true" />
        {isWorking ? "Making it smaller…" : "Photograph"}
        {taken > 0 && <span className="text-quiet">{taken} taken</span>}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        className="hidden"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file !== undefined) void keep(file);
        }}
      />
      <p role="status" className="text-fine font-semibold text-due empty:hidden">
        {failure}
      </p>
    </>
  );
}
