import { bookFileText, type Book } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { exportedText, focused, giveFile, logNote, press, go } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

async function takeIn(text: string): Promise<void> {
  const { page } = app();
  await go(page, "hand-over");
  await waitForWords(page, "Choose the other book's file");
  await giveFile(page, "from-the-phone.yonderfell.json", text);
}

/** The book as another device has it after some work of its own. */
function elsewhere(text: string, change: (book: Book) => Book): string {
  return bookFileText(change(JSON.parse(text) as Book), "Phone", []);
}

test("what only the other copy has is shown and taken in as one change, which can be taken back", async () => {
  const { page, address } = app();
  await openDemonstration(app());
  const text = await exportedText(page, address);
  const theirs = elsewhere(text, (book) => {
    const [first] = book.entries ?? [];
    if (first === undefined) throw new Error("the book has entries");
    const entry = {
      ...first,
      id: "e-phone" as typeof first.id,
      seq: 90001,
      note: "Done on the road",
    };
    return { ...book, entries: [...(book.entries ?? []), entry] };
  });
  await logNote(page, address, "m-mower", "Done in the shed");
  await takeIn(theirs);
  await waitForWords(page, "Added: 1 entry");
  await press(page, "Take it in");
  await waitForWords(page, "1 record taken in from from-the-phone.yonderfell.json.");
  // What it was done with is gone; the words of what was done have its focus.
  expect(await focused(page)).toContain("1 record taken in");
  const merged = await exportedText(page, address);
  expect(merged).toContain("Done on the road");
  expect(merged).toContain("Done in the shed");
  await takeIn(theirs);
  await waitForWords(page, "This book already has all that");
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  await waitForWords(page, "Undone: hand-over of 1 record");
  const back = await exportedText(page, address);
  expect(back).not.toContain("Done on the road");
  expect(back).toContain("Done in the shed");
});

test("of a file edited by hand, what both changed stands side by side, and nothing is taken in before all is chosen and that is known", async () => {
  const { page, address } = app();
  const text = await exportedText(page, address);
  const book = JSON.parse(text) as Book;
  const machines = book.machines?.map((machine) =>
    machine.tag === "07" ? { ...machine, name: "Book bus", kind: "van" } : machine,
  );
  await takeIn(JSON.stringify({ ...book, machines }));
  await waitForWords(page, "They differ: choose what stands");
  const conflict = await wordsOf(page, "[data-conflict]");
  expect(conflict).toContain("Machine 07 Library bus differs in the two.");
  expect(conflict).toContain("Book bus");
  const take = async (): Promise<boolean> =>
    page.$eval("main div:has(> button svg.lucide-handshake) button", (button) => button.disabled);
  expect(await take()).toBe(true);
  await waitForWords(page, "2 choices still to make");
  const theirs = "[data-conflict] [role=radio][value=theirs]";
  await page.click(theirs);
  expect(await take()).toBe(true);
  await page.click("[data-conflict] > div:last-child [role=radio][value=ours]");
  await waitForWords(page, "This file was changed since it was written, in: machines.");
  expect(await take()).toBe(true);
  await page.click("[role=alert] input[type=checkbox]");
  await press(page, "Take it in");
  await waitForWords(page, "1 record taken in");
  await go(page, "yard/m-bus");
  await waitForWords(page, "Book bus");
  expect(await wordsOf(page, "main")).toContain("Bus ·");
});

test("a book that has nothing in common is said to be hardly a copy of this one", async () => {
  const machine = { id: "x", tag: "99", name: "Stranger", kind: "van" };
  await takeIn(JSON.stringify({ format: "yonderfell-book", version: 2, machines: [machine] }));
  await waitForWords(app().page, "has no machine in common with this book");
});
