import type { DayNumber } from "@yonderfell/core";
import { liveQuery } from "dexie";
import { useEffect } from "react";
import type { BookStorage } from "../data/bookStorage.js";
import { store } from "./store.js";
import { errorWords } from "../words/errorWords.js";
import type { KeptUpdate } from "../work/kept/keeper.js";
import { keptClient, type KeptListener } from "../work/kept/keptClient.js";
import type { KeptActions } from "../work/kept/keptState.js";

/** Keeps something of a book current while it is shown: its worker is woken by every change and every new day. `workerOf` starts it. */
export function useKept<Update extends KeptUpdate>(
  actions: KeptActions<Update>,
  workerOf: () => Worker,
  {
    database,
    storage,
    today,
    inParts,
  }: {
    readonly database: string;
    readonly storage: Pick<BookStorage, "lastSeq">;
    readonly today: DayNumber;
    /** Whether a large first update is begun to be shown before it is whole. */
    readonly inParts: boolean;
  },
): void {
  useEffect(() => {
    const { dispatch } = store;
    const listener: KeptListener<Update> = {
      onUpdate: (update) => dispatch(actions.updated(update)),
      onUnchanged: () => dispatch(actions.unchanged()),
      onFailure: (reason) => dispatch(actions.failed(reason)),
    };
    const client = keptClient(workerOf(), database, listener, inParts);
    const changes = liveQuery(() => storage.lastSeq()).subscribe({
      next: () => {
        dispatch(actions.reckoning());
        client.wake(today);
      },
      error: (error: unknown) => dispatch(actions.failed(errorWords(error))),
    });
    return () => {
      changes.unsubscribe();
      client.stop();
    };
  }, [actions, workerOf, database, storage, today, inParts]);
}
