import { mkdtempSync, mkdirSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import request from "supertest";
import { createApp } from "./app.js";
import { serve } from "./serve.js";

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
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
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

test("it listens on loopback and stops when told, freeing its port", async () => {
  const serving = await serve({ webFolder, opensDemonstration: false }, 0);
  expect(serving.address).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/$/);
  const port = Number(new URL(serving.address).port);
  await expect(serve({ webFolder, opensDemonstration: false }, port)).rejects.toThrow("EADDRINUSE");
  await serving.stop();
  const again = await serve({ webFolder, opensDemonstration: false }, port);
  await again.stop();
});
