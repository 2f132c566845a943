import { TODAY } from "../../test/skarrowVale.js";
import { inPieces } from "./inPieces.js";
import { KeeperClient } from "./keeperClient.js";

/** A worker that keeps what it is told, and says what a test has it say. */
class ToldWorker {
  readonly told: unknown[] = [];
  isEnded = false;
  onmessage: (event: { readonly data: unknown }) => void = () => undefined;
  onerror: (event: { readonly message: string }) => void = () => undefined;
  postMessage(message: unknown): void {
    this.told.push(message);
  }
  terminate(): void {
    this.isEnded = true;
  }
}

function clientOf(worker: ToldWorker): { client: KeeperClient<string>; seen: string[] } {
  const seen: string[] = [];
  const listener = {
    onUpdate: () => undefined,
    onUnchanged: () => seen.push("unchanged"),
    onFailure: (reason: string) => seen.push(`failed: ${reason}`),
  };
  const client = new KeeperClient<string>(
    worker as unknown as Worker,
    "book-1",
    listener,
    (update, isLast) => seen.push(`${update}${isLast ? ", last" : ""}`),
  );
  return { client, seen };
}

test("it wakes its worker with the book and the day, hands on what it says, and ends it", () => {
  const worker = new ToldWorker();
  const { client, seen } = clientOf(worker);
  client.wake(TODAY);
  expect(worker.told).toEqual([{ database: "book-1", today: TODAY }]);
  worker.onmessage({ data: { code: "piece", update: "one", isLast: false } });
  worker.onmessage({ data: { code: "piece", update: "two", isLast: true } });
  worker.onmessage({ data: { code: "unchanged" } });
  worker.onmessage({ data: { code: "failed", reason: "no room" } });
  worker.onerror({ message: "gone" });
  expect(seen).toEqual(["one", "two, last", "unchanged", "failed: no room", "failed: gone"]);
  client.stop();
  expect(worker.isEnded).toBe(true);
});

test.each([
  [0, [0]],
  [4, [4]],
  [5, [4, 1]],
  [8, [4, 4]],
])(
  "an update of %d machines comes in pieces of %j, only the last of which is last",
  (count, sizes) => {
    const update = { today: TODAY, machines: [...Array(count).keys()] };
    const pieces = inPieces(update, 4);
    const told = pieces.flatMap((piece) => (piece.code === "piece" ? [piece] : []));
    expect(told.map((piece) => piece.update.machines.length)).toEqual(sizes);
    expect(told.flatMap((piece) => piece.update.machines)).toEqual(update.machines);
    expect(told.map(({ isLast }) => isLast)).toEqual(sizes.map((_, at) => at === sizes.length - 1));
  },
);
