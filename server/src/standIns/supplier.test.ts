import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import request from "supertest";
import { createApp } from "../app.js";

const webFolder = mkdtempSync(join(tmpdir(), "yonderfell-web-"));
writeFileSync(join(webFolder, "index.html"), "<!doctype html><title>Yonderfell</title>");

const SUPPLIER = "/stand-ins/supplier";
const STARTED = Date.parse("2026-11-23T08:00:00Z");

interface Ordered {
  readonly reference: string;
  readonly promised: string;
  readonly deliveries: readonly { readonly on: string; readonly lines: readonly object[] }[];
}

/** A supplier with a clock of its own. */
function supplier() {
  let now = STARTED;
  const options = { clock: () => now, takes: 1000, rest: 2000 };
  const app = createApp({ webFolder, opensDemonstration: false, supplier: options });
  return {
    get: (path = "") => request(app).get(`${SUPPLIER}${path}`),
    post: (path: string, body: object) => request(app).post(`${SUPPLIER}${path}`).send(body),
    later: (by: number) => (now += by),
  };
}

test("it tells packs, prices, days and what took a number's place; what it does not sell it says", async () => {
  const { get, post } = supplier();
  expect((await get()).body).toEqual({ supplier: "Corrie Factors", simulated: true });
  const numbers = ["HD 4521", "cf-210", "Fellmaster 15W-40", "ZZ 1"];
  const answer = await post("/offers", { numbers }).expect(200);
  const { offers } = answer.body as { readonly offers: readonly object[] };
  expect(offers).toMatchObject([
    { asked: "HD 4521", known: true, supersededBy: "HD 4521B", days: 2 },
    { asked: "cf-210", known: true, number: "HD 4510" },
    { asked: "Fellmaster 15W-40", packs: [{ size: 20, unit: "L" }, { size: 60 }] },
    { asked: "ZZ 1", known: false },
  ]);
});

test("an order comes in parts: what is there at once, the rest later, what was superseded under its new number, what is not sold never", async () => {
  const { get, post, later } = supplier();
  const lines = [
    { number: "HD 4510", count: 5 },
    { number: "HD 4521", count: 2 },
    { number: "Fellmaster 15W-40", count: 1, pack: 60 },
    { number: "ZZ 1", count: 1 },
    { number: "W 24", count: 30 },
  ];
  const placed = (await post("/orders", { lines }).expect(202)).body as Ordered;
  expect(placed).toMatchObject({ promised: "2026-11-26", deliveries: [] });
  const asked = async (): Promise<Ordered> =>
    (await get(`/orders/${encodeURIComponent(placed.reference)}`)).body as Ordered;
  later(999);
  expect((await asked()).deliveries).toEqual([]);
  later(1);
  const first = [
    { line: 0, number: "HD 4510", count: 3, price: 15.2 },
    { line: 1, number: "HD 4521B", count: 2, price: 31.4, instead: true },
    { line: 2, number: "Fellmaster 15W-40", count: 1, price: 219 },
    { line: 4, number: "W 24", count: 30, price: 0.06 },
  ];
  expect((await asked()).deliveries).toEqual([{ on: "2026-11-23", lines: first }]);
  later(2000);
  expect((await asked()).deliveries).toMatchObject([
    { lines: first },
    { lines: [{ line: 0, number: "HD 4510", count: 2 }] },
  ]);
});

test.each<[string, object]>([
  ["/offers", {}],
  ["/offers", { numbers: [3] }],
  ["/offers", { numbers: ["x".repeat(81)] }],
  ["/orders", { lines: [] }],
  ["/orders", { lines: [{ number: "W 24", count: 0 }] }],
  ["/orders", { lines: [{ count: 2 }] }],
])("%s with %j is refused", async (path, body) => {
  const { post } = supplier();
  await post(path, body).expect(400);
});

test("an order it does not know is said to be unknown", async () => {
  const { get } = supplier();
  await get("/orders/CF%209").expect(404);
});
