import { useState } from "react";
import { useBook } from "../../../session/openBook.js";
import { pictures } from "../../../work/pictureClient.js";
import { errorWords } from "../../../words/errorWords.js";

/** How the taking of a picture stands. */
export interface TakingPicture {
  readonly isWorking: boolean;
  /** Why the last one was not kept, empty where it was. */
  readonly failure: string;
  /** Makes a picture smaller and keeps it; answers its hash, null where that failed. */
  readonly take: (file: Blob) => Promise<string | null>;
}

/** The way to keep a picture in the open book. */
export function useTakingPicture(): TakingPicture {
  const { storage } = useBook();
  const [isWorking, setIsWorking] = useState(false);
  const [failure, setFailure] = useState("");
  const take = async (file: Blob): Promise<string | null> => {
    setIsWorking(true);
    try {
      const shrunk = await pictures().shrink(file);
      await storage.keepPicture({ ...shrunk, keptAt: new Date().toISOString() });
      setFailure("");
      return shrunk.hash;
    } catch (error) {
      setFailure(`The picture was not kept: ${errorWords(error)}. Nothing else is changed.`);
      return null;
    } finally {
      setIsWorking(false);
    }
  };
  return { isWorking, failure, take };
}
