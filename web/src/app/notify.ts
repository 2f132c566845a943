import { noticeGiven } from "./session.js";
import { store } from "./store.js";

/** A short note that something went well. */
export function notifySuccess(words: string): void {
  store.dispatch(noticeGiven({ isGood: true, words }));
}

/** A short note that something went wrong. */
export function notifyFailure(words: string): void {
  store.dispatch(noticeGiven({ isGood: false, words }));
}
