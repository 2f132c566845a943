import { noticeGiven } from "./session.js";
import { store } from "./store.js";

/** A short note that something went well. */
export function notifySuccess(words: string): void {
  store.dispatch(noticeGiven({ isGood: true, words, change: null }));
}

/** A short note that something went wrong. */
export function notifyFailure(words: string): void {
  store.dispatch(noticeGiven({ isGood: false, words, change: null }));
}

/** A short note that the newest change of this tab is saved, from which it can be taken back. */
export function notifyChange(words: string): void {
  const change = store.getState().undo.done.at(-1)?.seq ?? null;
  store.dispatch(noticeGiven({ isGood: true, words, change }));
}
