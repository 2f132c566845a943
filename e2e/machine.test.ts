import type { Page } from "puppeteer-core";
import { readBook, vinDoubt } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { exportedText, press, go } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

/** Goes on with Tab to the next field of a name and types into it. */
async function fill(page: Page, label: string, words: string): Promise<void> {
  for (let presses = 0; presses < 12; presses += 1) {
    await page.keyboard.press("Tab");
    if ((await focused(page)) === label) {
      await page.keyboard.type(words);
      return;
    }
  }
  throw new Error(`no field called ${label} comes next`);
}

const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const field = document.activeElement as HTMLInputElement;
    const label = field.labels?.[0]?.cloneNode(true) as HTMLElement | undefined;
    for (const mark of label?.querySelectorAll("[aria-hidden], input, select") ?? []) mark.remove();
    return ((label ?? field).textContent ?? "").split("\n")[0]?.trim() ?? "";
  });

test("a machine with a plate of five fluids is added by the keyboard alone", async () => {
  const { page } = app();
  await page.keyboard.press("/");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("add a machine");
  await waitForWords(page, "Add a machine");
  await page.keyboard.press("Enter");
  await waitForWords(page, "Fluids of its plate");
  // The number is proposed, and the name in hand.
  await page.keyboard.down("Shift");
  await page.keyboard.press("Tab");
  await page.keyboard.up("Shift");
  await page.keyboard.type("41");
  const fields = [
    ["Name", "Snow blower"],
    ["Kind", "stationary engine"],
    ["Lives at", "Top"],
    ["Make, model, engine or variant", "Lowther rotary 6"],
    ["VIN or serial number", "11111111111111111"],
    ["In service since", "04152019"],
    ["A bare quart or gallon means", "US"],
    ["Counts", "it"],
    ["Counts", "h"],
    ["Shows today", "812.5"],
    ["Capacities by", "name plate "],
    ["How much", "5.3 qt"],
    ["Grade", "5W-30"],
    ["Codes required", "SN"],
    ["How much", "8.2 L"],
    ["How much", "1.1"],
    ["Grade", "80W-90"],
    ["Codes required", "GL-4"],
    ["System", "auger gearbox"],
    ["Kind", "gear"],
    ["How much", "12 us floz"],
    ["System", "hydraulics"],
    ["Kind", "hydraulic"],
    ["How much", "3 gal"],
    ["Codes required", "HLP 46"],
  ] as const;
  for (const [label, words] of fields) await fill(page, label, words);
  await page.keyboard.press("Enter");
  await waitForWords(page, "41 Snow blower");
  await waitForWords(page, "Nothing is planned for it yet.");
  await press(page, "Plate");
  await waitForWords(page, "Auger gearbox");
  const words = (await wordsOf(page, "main")).replaceAll("\u00a0", " ");
  expect(words).toContain("5.3 US qt (5.016 L) with filter");
  expect(words).toContain("3 US gal (11.36 L) drain and fill");
  const book = readBook(await exportedText(page, app().address));
  if (!book.ok) throw new Error(JSON.stringify(book.issues));
  const machine = book.value.machines?.find((one) => one.tag === "41");
  expect(machine).toMatchObject({ inService: "2019-04-15", gallons: "us", place: "pl-top" });
  expect(vinDoubt(machine?.vin ?? "")).toBeNull();
  expect(machine?.meters?.map((meter) => meter.unit)).toEqual(["h"]);
  expect(book.value.fluids?.filter((fluid) => fluid.machine === machine?.id)).toHaveLength(5);
  expect(book.value.readings?.at(-1)).toMatchObject({ machine: machine?.id, value: 812.5 });
});

test("adding it is one change that is taken back as one", async () => {
  const { page } = app();
  await go(page, "yard");
  await waitForWords(page, "16 machines");
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  await waitForWords(page, "Undone: machine 41 Snow blower.");
  await waitForWords(page, "15 machines");
});

test("a capacity is changed on the plate, and a wrong one is answered and not saved", async () => {
  const { page } = app();
  await go(page, "yard/m-carrier/plate");
  await waitForWords(page, "They differ as US and imperial measure do");
  await press(page, "Edit hydraulics");
  const field = "[role=group][aria-label='Capacity 2'] input";
  await page.waitForSelector(field);
  await page.click(field, { count: 3 });
  await page.keyboard.type("5 firkins");
  await waitForWords(page, "“firkins” is not a unit known here");
  await page.keyboard.press("Enter");
  await waitForWords(page, "Not saved: 1 field to put right, marked above.");
  await page.click(field, { count: 3 });
  await page.keyboard.type("5 gal");
  await waitForWords(page, "5 imp gal = 22.73 L");
  await page.keyboard.press("Enter");
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  await waitForWords(page, "both sources agree");
});

test("a machine is released by a named person only, with what was done", async () => {
  const { page } = app();
  await go(page, "yard/m-carrier");
  await waitForWords(page, "Out of service since");
  await press(page, "Release it");
  await waitForWords(page, "What was done");
  await page.waitForSelector("form");
  await press(page, "Release it for service");
  await waitForWords(page, "Say who you are.");
  await page.type(
    "::-p-aria([name='What was done'][role='textbox'])",
    "idler arm welded and crack-tested",
  );
  await page.type("::-p-aria([name='Released by'])", "Joss Rigg");
  await press(page, "Release it for service");
  await waitForWords(page, "Released by Joss Rigg: idler arm welded and crack-tested.");
  await page.waitForFunction(() => !document.body.innerText.includes("Out of service since"));
});

test("the reading sheet: type, Enter, next; a pasted column; what does not agree stays with its reason", async () => {
  const { page } = app();
  await go(page, "yard/readings");
  await page.waitForSelector("input[data-row='3']");
  const lasts = await page.$$eval("[role=listitem]", (rows) =>
    rows.map((row) =>
      Number(
        /([\d\u00a0]+(?:\.\d)?)\u00a0(?:km|mi|h), /
          .exec(row.textContent)?.[1]
          ?.replaceAll("\u00a0", ""),
      ),
    ),
  );
  await page.focus("input[data-row='0']");
  await page.keyboard.type(String((lasts[0] ?? 0) + 12));
  await page.keyboard.press("Enter");
  expect(await page.evaluate(() => (document.activeElement as HTMLElement).dataset["row"])).toBe(
    "1",
  );
  const column = [(lasts[1] ?? 0) + 5, 3, "", `\nH2\t${(lasts.at(-1) ?? 0) + 1}`].join("\n");
  await page.evaluate((text) => {
    const data = new DataTransfer();
    data.setData("text", text);
    document.activeElement?.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
    );
  }, column);
  await waitForWords(page, "Save 4 readings");
  await waitForWords(page, "since the last");
  await waitForWords(page, "Kept as typed; not yet in the book.");
  await page.reload();
  await waitForWords(page, "Save 4 readings");
  // What was kept is judged anew before it can be saved.
  await waitForWords(page, "12 km since the last");
  await waitForWords(page, "Right as it is");
  // By the keyboard: the list still moves while it is read anew, and a note may lie over the button.
  await page.focus('::-p-aria([name="Save 4\u00a0readings"])');
  await page.keyboard.press("Enter");
  await waitForWords(page, "3 readings saved.");
  await waitForWords(page, "1 figure not saved; look below each.");
  expect(await page.$eval("input[data-row='2']", (input) => input.value)).toBe("3");
  await press(page, "Right as it is");
  await press(page, "Save 1\u00a0reading");
  await waitForWords(page, "1 reading saved.");
});

test("a meter that stood still is repaired with what was run meanwhile", async () => {
  const { page } = app();
  await go(page, "yard/m-generator/meters");
  await waitForWords(page, "Stopped since");
  await page.waitForSelector("canvas");
  await press(page, "Repaired");
  await waitForWords(page, "Run unmetered between, h");
  await press(page, "Save: repaired");
  await waitForWords(page, "Saved; its life counts on.");
  await page.waitForFunction(() => !document.body.innerText.includes("Stopped since"));
});

test("the last reading of a meter is corrected from where it is seen", async () => {
  const { page } = app();
  await go(page, "yard/m-hatch/meters");
  const link = await page.waitForSelector("::-p-text(Correct the reading of)");
  const words = await link?.evaluate((one) => one.textContent);
  await link?.click();
  await waitForWords(page, "Save the correction");
  expect(new URL(page.url()).pathname).toMatch(/^\/correct\/m-hatch\/readings\/.+/);
  const shown = await page.$$eval("main input", (inputs) => inputs.map(({ value }) => value));
  const figure = (words ?? "").replace(/^Correct the reading of /, "").replace(/\s?km.*$/, "");
  const plain = (text: string): string => text.replace(/\s/g, "");
  expect(shown.map(plain)).toContain(plain(figure));
});

test("the card is one page, on A4 and on Letter", async () => {
  const { page } = app();
  await go(page, "yard/m-bus/card");
  await waitForWords(page, "The maker's handbook wins.");
  for (const [paper, size] of [
    ["A4", 595],
    ["Letter", 612],
  ] as const) {
    await page.select("select", paper);
    await page.waitForSelector(paper === "A4" ? ".card-a4" : ".card-letter");
    const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString("latin1");
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
    const width = /\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)/.exec(pdf)?.[1];
    expect(Math.round(Number(width))).toBe(size);
  }
});

/** Gives the page a picture of 12 megapixels as a camera writes it, with a place in it. */
async function takePicture(page: Page): Promise<number> {
  return page.evaluate(async () => {
    const canvas = new OffscreenCanvas(4000, 3000);
    const context = canvas.getContext("2d") as OffscreenCanvasRenderingContext2D;
    const noise = context.createImageData(400, 300);
    let state = 7;
    for (let at = 0; at < noise.data.length; at += 1) {
      state = (state * 1103515245 + 12345) & 0x7fffffff;
      noise.data[at] = at % 4 === 3 ? 255 : state >> 16;
    }
    for (let x = 0; x < 10; x += 1) {
      for (let y = 0; y < 10; y += 1) context.putImageData(noise, x * 400, y * 300);
    }
    const plain = await canvas.convertToBlob({ type: "image/jpeg", quality: 0.9 });
    const bytes = new Uint8Array(await plain.arrayBuffer());
    const words = new TextEncoder().encode("Exif\0\0GPSLatitude 54.5 GPSLongitude -2.8");
    const segment = new Uint8Array(words.length + 4);
    segment.set([0xff, 0xe1, 0, words.length + 2]);
    segment.set(words, 4);
    const file = new File([bytes.slice(0, 2), segment, bytes.slice(2)], "sump.jpg", {
      type: "image/jpeg",
    });
    const input = document.querySelector<HTMLInputElement>("input[accept='image/*']");
    const transfer = new DataTransfer();
    transfer.items.add(file);
    if (input === null) throw new Error("nowhere to put it");
    input.files = transfer.files;
    input.dispatchEvent(new Event("change", { bubbles: true }));
    return file.size;
  });
}

/** The pictures that the browser keeps. */
async function keptPictures(page: Page): Promise<{ size: number; text: string; width: number }[]> {
  return page.evaluate(async () => {
    const all: { size: number; text: string; width: number }[] = [];
    for (const { name = "" } of await indexedDB.databases()) {
      if (!name.startsWith("yonderfell-book-")) continue;
      const opened = indexedDB.open(name);
      await new Promise((resolve) => (opened.onsuccess = resolve));
      const asked = opened.result.transaction("pictures").objectStore("pictures").getAll();
      await new Promise((resolve) => (asked.onsuccess = resolve));
      for (const { bytes, width } of asked.result as { bytes: Uint8Array; width: number }[]) {
        all.push({ size: bytes.length, text: new TextDecoder("latin1").decode(bytes), width });
      }
      opened.result.close();
    }
    return all;
  });
}

test("a picture of 12 megapixels is kept under 400 kB, without where it was taken", async () => {
  const { page } = app();
  await go(page, "yard/m-bus/plate");
  await press(page, "Edit Sump plug");
  await waitForWords(page, "Take or choose a picture");
  expect(await takePicture(page)).toBeGreaterThan(2_000_000);
  await page.waitForSelector("[role=dialog] img");
  await page.type("::-p-aria([name='What it shows'])", "plug from below");
  await page.keyboard.press("Enter");
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  await page.waitForSelector("main img[alt='plug from below']");
  const kept = await keptPictures(page);
  expect(kept).toHaveLength(1);
  expect(kept[0]?.size).toBeLessThan(400_000);
  expect(kept[0]?.width).toBeGreaterThanOrEqual(640);
  expect(kept[0]?.text).not.toMatch(/Exif|GPS/);
  await go(page, "ledger");
  await press(page, "Export the book");
  await waitForWords(page, ".yonderfell.zip.");
});

/**
 * Has the browser refuse to store anything, as it does when the disk is full (its own switch for
 * the quota does not reach its database), or lets it store again.
 */
async function fillDisk(page: Page, isFull: boolean): Promise<void> {
  await page.evaluate((full) => {
    const own = window as unknown as { realPut?: IDBObjectStore["put"] };
    // eslint-disable-next-line @typescript-eslint/unbound-method -- it is put back where it was
    own.realPut ??= IDBObjectStore.prototype.put;
    const refuse = (): never => {
      throw new DOMException("The disk is full.", "QuotaExceededError");
    };
    IDBObjectStore.prototype.put = full ? refuse : own.realPut;
  }, isFull);
}

test("a full disk is said clearly, and nothing is lost", async () => {
  const { page } = app();
  await go(page, "yard/m-bus/plate");
  await press(page, "Edit engine");
  await page.waitForSelector("[role=dialog] textarea");
  await page.type("[role=dialog] textarea", "Drain it hot.");
  await fillDisk(page, true);
  await page.click("[role=dialog] button[type=submit]");
  await waitForWords(page, "the browser has no room left for this site");
  expect(await page.$eval("[role=dialog] textarea", (area) => area.value)).toBe("Drain it hot.");
  await fillDisk(page, false);
  await page.click("[role=dialog] button[type=submit]");
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  await waitForWords(page, "Drain it hot.");
});
