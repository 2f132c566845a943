import { mkdtempSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { get } from "node:https";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import request from "supertest";
import { createApp } from "./app.js";
import { listeningOf, warningFor } from "./options.js";
import { LOOPBACK, serve } from "./serve.js";

function builtFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-web-"));
  mkdirSync(join(folder, "assets"));
  writeFileSync(join(folder, "index.html"), "<!doctype html><title>Yonderfell</title>");
  writeFileSync(join(folder, "assets", "place-1.js"), "export {};\n");
  return folder;
}

const webFolder = builtFolder();

test("every address of the application gives its page, under a strict policy", async () => {
  const response = await request(createApp({ webFolder, opensDemonstration: false })).get(
    "/yard/m-bus",
  );
  expect(response.text).toContain("<title>Yonderfell</title>");
  const policy = response.headers["content-security-policy"] ?? "";
  expect(policy).toContain("default-src 'none'");
  // Beside its own files the solver of the fleet plan, which is WebAssembly; nothing wider.
  const scripts = "script-src 'self' 'wasm-unsafe-eval'";
  expect(policy.split("; ")).toContain(scripts);
  expect(policy.replace(scripts, "")).not.toMatch(/unsafe|data:|https?:/);
  expect(response.headers["x-content-type-options"]).toBe("nosniff");
  expect(response.headers["referrer-policy"]).toBe("no-referrer");
  expect(response.headers["permissions-policy"]).toContain("geolocation=()");
  expect(response.headers["x-powered-by"]).toBeUndefined();
});

test("files with their content in their name are kept by the browser, missing ones are said to be missing", async () => {
  const app = createApp({ webFolder, opensDemonstration: false });
  const file = await request(app).get("/assets/place-1.js");
  expect(file.headers["cache-control"]).toContain("immutable");
  expect((await request(app).get("/assets/gone.js")).status).toBe(404);
});

test("the demonstration opens from the root only when asked for", async () => {
  const demo = await request(createApp({ webFolder, opensDemonstration: true })).get("/");
  expect([demo.status, demo.headers["location"]]).toEqual([302, "/demonstration"]);
  expect((await request(createApp({ webFolder, opensDemonstration: false })).get("/")).status).toBe(
    200,
  );
});

test("it says that it is well", async () => {
  const response = await request(createApp({ webFolder, opensDemonstration: false })).get(
    "/health",
  );
  expect(response.body).toEqual({ status: "well" });
});

test("it refuses to start without a built application", () => {
  expect(() => createApp({ webFolder: tmpdir(), opensDemonstration: false })).toThrow(
    "npm run build",
  );
});

test("a broken address and a missing file are answered in one line, without the inside of the program", async () => {
  const app = createApp({ webFolder, opensDemonstration: false });
  for (const [path, status] of [
    ["/%E0%A4%A", 400],
    ["/assets/gone.js", 404],
  ] as const) {
    const response = await request(app).get(path);
    expect([response.status, response.headers["content-type"]]).toEqual([
      status,
      "text/plain; charset=utf-8",
    ]);
    expect(response.text.trim().split("\n")).toHaveLength(1);
    expect(response.text).not.toContain("node_modules");
  }
});

test("pages are compressed for those who can read them so", async () => {
  const folder = builtFolder();
  writeFileSync(join(folder, "index.html"), "<!doctype html>".padEnd(5000, " "));
  const app = createApp({ webFolder: folder, opensDemonstration: false });
  const response = await request(app).get("/ahead").set("Accept-Encoding", "gzip");
  expect(response.headers["content-encoding"]).toBe("gzip");
});

describe("where to listen", () => {
  test("is loopback unless a flag says otherwise, and then there is a warning", () => {
    const usual = { port: 4780, host: "127.0.0.1", opensDemonstration: false, secure: null };
    expect(listeningOf([], undefined)).toEqual(usual);
    expect(listeningOf(["--demonstration"], undefined)).toEqual({
      ...usual,
      opensDemonstration: true,
    });
    expect(listeningOf(["--port", "5000"], "4000")).toMatchObject({ port: 5000 });
    expect(warningFor(listeningOf([], "4000"))).toBeNull();
    for (const host of ["localhost", "127.0.0.2", "::1"]) {
      expect(warningFor(listeningOf(["--host", host], undefined))).toBeNull();
    }
    for (const host of ["0.0.0.0", "::", "192.168.1.7"]) {
      expect(warningFor(listeningOf(["--host", host], undefined))).toContain("Warning");
    }
  });

  test("a certificate goes with its key, and then nothing is said of encryption", () => {
    const secure = ["--host", "192.168.1.7", "--cert", "shed.crt", "--key", "shed.key"];
    const listening = listeningOf(secure, undefined);
    expect(listening.secure).toEqual({ cert: "shed.crt", key: "shed.key" });
    expect(warningFor(listening)).not.toContain("encryption");
    expect(warningFor({ ...listening, secure: null })).toContain("encryption");
    for (const half of [secure.slice(0, 4), [...secure.slice(0, 2), ...secure.slice(4)]]) {
      expect(() => listeningOf(half, undefined)).toThrow("--cert FILE and --key FILE");
    }
  });

  test.each(["70000", "-1", "x", ""])("the port %j is refused", (port) => {
    expect(() => listeningOf([], port)).toThrow("no port");
  });
});

/** A certificate made for these tests alone, for a name that is nobody's. */
const CERTIFICATE = {
  cert: fileURLToPath(new URL("../test/shed.crt", import.meta.url)),
  key: fileURLToPath(new URL("../test/shed.key", import.meta.url)),
};

test("with a certificate the program is served over https, so that a phone can install it", async () => {
  const options = { webFolder, opensDemonstration: false };
  const serving = await serve(options, 0, LOOPBACK, undefined, CERTIFICATE);
  try {
    expect(serving.address).toMatch(/^https:/);
    const page = await new Promise<string>((resolve, reject) => {
      get(serving.address, { ca: readFileSync(CERTIFICATE.cert) }, (response) => {
        let text = "";
        response.on("data", (part: Buffer) => (text += part.toString()));
        response.on("end", () => resolve(text));
      }).on("error", reject);
    });
    expect(page).toContain("<title>Yonderfell</title>");
  } finally {
    await serving.stop();
  }
});

test("a certificate that is not there is said by its name", async () => {
  const options = { webFolder, opensDemonstration: false };
  const gone = { ...CERTIFICATE, cert: "/nowhere/shed.crt" };
  await expect(serve(options, 0, LOOPBACK, undefined, gone)).rejects.toThrow(
    "the certificate cannot be read from /nowhere/shed.crt",
  );
});

test("an answer under way is given to its end before the server stops", async () => {
  const folder = builtFolder();
  const size = 20_000_000;
  writeFileSync(join(folder, "assets", "large.bin"), Buffer.alloc(size));
  // Patience without end: what is tried is that the end is waited for, not for how long at most.
  const options = { webFolder: folder, opensDemonstration: false };
  const serving = await serve(options, 0, LOOPBACK, 2 ** 30);
  const response = await fetch(`${serving.address}assets/large.bin`);
  const stopped = serving.stop();
  expect((await response.arrayBuffer()).byteLength).toBe(size);
  await stopped;
});

test("it listens on loopback and stops when told, freeing its port", async () => {
  const serving = await serve({ webFolder, opensDemonstration: false }, 0);
  expect(serving.address).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/$/);
  const port = Number(new URL(serving.address).port);
  await expect(serve({ webFolder, opensDemonstration: false }, port)).rejects.toThrow("EADDRINUSE");
  await serving.stop();
  const again = await serve({ webFolder, opensDemonstration: false }, port);
  await again.stop();
});
