/** The database holds no book any more: its storage was cleared under an open tab, or the browser has lost it. */
export class BookGone extends Error {
  override readonly name = "BookGone";

  constructor() {
    super("the book is not in this browser any more");
  }
}
