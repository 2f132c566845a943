import { useEffect, useState } from "react";
import type { StoredPicture } from "../../../data/picture.js";
import { useBook } from "../../../session/openBook.js";

/** What is known of a picture: its address while it is shown, null where this browser does not have it. */
export function usePictureAddress(hash: string): string | null | undefined {
  const { storage } = useBook();
  const [address, setAddress] = useState<string | null>();
  useEffect(() => {
    let made: string | null = null;
    let isWanted = true;
    const show = (picture: StoredPicture | null): void => {
      if (!isWanted) return;
      made =
        picture === null
          ? null
          : URL.createObjectURL(new Blob([picture.bytes], { type: picture.type }));
      setAddress(made);
    };
    // One that cannot be read is not here, whatever the reason.
    storage.picture(hash).then(show, () => show(null));
    return () => {
      isWanted = false;
      if (made !== null) URL.revokeObjectURL(made);
    };
  }, [storage, hash]);
  return address;
}
