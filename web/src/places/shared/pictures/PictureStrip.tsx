import type { Picture } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { usePictureAddress } from "./usePictureAddress.js";

/** The pictures of a record, small; each opens in full. */
export function PictureStrip({
  pictures,
}: {
  readonly pictures: readonly Picture[] | undefined;
}): ReactElement | null {
  const [open, setOpen] = useState<Picture | null>(null);
  if (pictures === undefined || pictures.length === 0) return null;
  return (
    <>
      <ul className="mt-1 flex flex-wrap gap-2">
        {pictures.map((picture) => (
          <li key={picture.hash}>
            <button
              type="button"
              onClick={() => setOpen(picture)}
              aria-label={`Open picture: ${captionOf(picture)}`}
            >
              <PictureImage picture={picture} look="h-16 w-24 object-cover" />
            </button>
          </li>
        ))}
      </ul>
      {open !== null && (
        <DialogFrame title={captionOf(open)} onClose={() => setOpen(null)}>
          <PictureImage picture={open} look="mb-3 max-h-[70vh] w-full object-contain" />
        </DialogFrame>
      )}
    </>
  );
}

/** What a picture is called. */
function captionOf({ caption }: Picture): string {
  return caption === undefined || caption === null || caption === "" ? "Picture" : caption;
}

/** A picture as stored in this browser. */
export function PictureImage({
  picture,
  look,
}: {
  readonly picture: Picture;
  readonly look: string;
}): ReactElement {
  const address = usePictureAddress(picture.hash);
  if (address === undefined) return <span className={`block bg-wash ${look}`} />;
  if (address === null) {
    return (
      <span className="block max-w-40 text-fine text-quiet">
        {captionOf(picture)}: not in this browser
      </span>
    );
  }
  return (
    <img
      src={address}
      alt={captionOf(picture)}
      className={`rounded-[2px] border border-hairline ${look}`}
    />
  );
}
