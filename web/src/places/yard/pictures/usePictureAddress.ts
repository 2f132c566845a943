import { useEffect, useState } from "react";
import { useBook } from "../../../app/openBook.js";

/** What is known of a picture: its address while it is shown, null where this browser does not have it. */
export function usePictureAddress(hash: string): string | null | undefined {
  const { storage } = useBook();
  const [address, setAddress] = useState<string | null>();
  useEffect(() => {
    let made: string | null = null;
    let isWanted = true;
    void storage.picture(hash).then((picture) => {
      if (!isWanted) return;
      made =
        picture === null
          ? null
          : URL.createObjectURL(new Blob([picture.bytes], { type: picture.type }));
      setAddress(made);
    });
    return () => {
      isWanted = false;
      if (made !== null) URL.revokeObjectURL(made);
    };
  }, [storage, hash]);
  return address;
}
