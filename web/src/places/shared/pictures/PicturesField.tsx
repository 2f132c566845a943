import type { Picture } from "@yonderfell/core";
import { Camera } from "lucide-react";
import { useRef, type ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { TextField } from "../../../ui/fields.js";
import type { Field } from "../../../ui/field.js";
import { PictureImage } from "./PictureStrip.js";
import { useTakingPicture } from "./useTakingPicture.js";

/** The pictures of a record being written down: taken or chosen, made smaller, named, left out. */
export function PicturesField({ value, onChange }: Field<readonly Picture[]>): ReactElement {
  const { isWorking, failure, take } = useTakingPicture();
  const add = async (file: File): Promise<void> => {
    const hash = await take(file);
    if (hash === null || value.some((one) => one.hash === hash)) return;
    onChange([...value, { hash, caption: "" }]);
  };
  return (
    <fieldset>
      <legend className="font-semibold">Pictures</legend>
      <ul className="space-y-2">
        {value.map((picture) => (
          <PictureRow
            key={picture.hash}
            picture={picture}
            onCaption={(caption) =>
              onChange(value.map((one) => (one.hash === picture.hash ? { ...one, caption } : one)))
            }
            onLeaveOut={() => onChange(value.filter((one) => one.hash !== picture.hash))}
          />
        ))}
      </ul>
      <TakeButton isWorking={isWorking} onFile={(file) => void add(file)} />
      <p role="status" className="text-fine font-semibold text-due">
        {failure}
      </p>
    </fieldset>
  );
}

function PictureRow({
  picture,
  onCaption,
  onLeaveOut,
}: {
  readonly picture: Picture;
  readonly onCaption: (caption: string) => void;
  readonly onLeaveOut: () => void;
}): ReactElement {
  return (
    <li className="flex flex-wrap items-center gap-4">
      <PictureImage picture={picture} look="h-16 w-24 object-cover" />
      <div className="min-w-40 flex-1">
        <TextField label="What it shows" value={picture.caption ?? ""} onChange={onCaption} />
      </div>
      <button type="button" className={QUIET_BUTTON} onClick={onLeaveOut}>
        Leave it out
      </button>
    </li>
  );
}

function TakeButton({
  isWorking,
  onFile,
}: {
  readonly isWorking: boolean;
  readonly onFile: (file: File) => void;
}): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-2`}
        disabled={isWorking}
        onClick={() => input.current?.click()}
      >
        <Camera size={18} aria-hidden="true" />
        {isWorking ? "Making it smaller…" : "Take or choose a picture"}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="hidden"
        aria-label="Take or choose a picture"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file !== undefined) onFile(file);
        }}
      />
    </>
  );
}
