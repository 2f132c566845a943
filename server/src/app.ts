import { existsSync } from "node:fs";
import { join, resolve } from "node:path";
import compression from "compression";
import express, { type Express, type NextFunction, type Request, type Response } from "express";

import { EventStreams } from "./standIns/eventStreams.js";
import { simulatedFeed } from "./standIns/feed.js";
import { LABORATORY, simulatedLaboratory, type LaboratoryOptions } from "./standIns/laboratory.js";
import { PLUG, simulatedPlug, type PlugOptions } from "./standIns/plug.js";
import { simulatedSupplier, SUPPLIER, type SupplierOptions } from "./standIns/supplier.js";

/** How the server is set up. */
export interface ServerOptions {
  /** The folder of the built application. */
  readonly webFolder: string;
  /** Whether the root address opens the demonstration book. */
  readonly opensDemonstration: boolean;
  /** How the simulated diagnostic plug differs from the usual one. */
  readonly plug?: Partial<PlugOptions>;
  /** How the simulated laboratory differs from the usual one. */
  readonly laboratory?: Partial<LaboratoryOptions>;
  /** How the simulated supplier differs from the usual one. */
  readonly supplier?: Partial<SupplierOptions>;
}

/** Nothing but what the application itself ships: no inline script or style, nothing from elsewhere. */
const POLICY = [
  "default-src 'none'",
  // The solver of the fleet plan is WebAssembly; nothing else is compiled at run time.
  "script-src 'self' 'wasm-unsafe-eval'",
  "worker-src 'self'",
  "style-src 'self'",
  "font-src 'self'",
  "img-src 'self' blob:",
  "connect-src 'self'",
  "manifest-src 'self'",
  "base-uri 'none'",
  "form-action 'none'",
  "frame-ancestors 'none'",
].join("; ");

/** What a page of this server may ask of the device: nothing. */
const PERMISSIONS = [
  "accelerometer",
  "camera",
  "display-capture",
  "geolocation",
  "gyroscope",
  "magnetometer",
  "microphone",
  "payment",
  "usb",
]
  .map((feature) => `${feature}=()`)
  .join(", ");

const A_YEAR_SECONDS = 31536000;

function guard(_request: Request, response: Response, next: NextFunction): void {
  response.set({
    "Content-Security-Policy": POLICY,
    "Permissions-Policy": PERMISSIONS,
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Cross-Origin-Resource-Policy": "same-origin",
  });
  next();
}

/** Whatever goes wrong while answering is said in one line, without the inside of the program. */
function answerFailure(
  error: unknown,
  _request: Request,
  response: Response,
  next: NextFunction,
): void {
  if (response.headersSent) {
    next(error);
    return;
  }
  const status = (error as { readonly status?: unknown } | null)?.status;
  const code = typeof status === "number" && status >= 400 && status < 600 ? status : 500;
  const words = code === 404 ? "There is no such file." : "This cannot be answered.";
  response.status(code).type("text/plain").send(`${words}\n`);
}

/** The server: the built application and the simulated stand-ins for devices and services. Throws where the application is not built. */
export function createApp(
  { webFolder, opensDemonstration, plug, laboratory, supplier }: ServerOptions,
  streams = new EventStreams(),
): Express {
  const page = resolve(webFolder, "index.html");
  if (!existsSync(page)) throw new Error("the application is not built: run npm run build first");
  const app = express();
  app.disable("x-powered-by");
  app.use(guard);
  app.use(simulatedPlug(streams, { ...PLUG, ...plug }));
  app.use(compression());
  app.use(simulatedLaboratory({ ...LABORATORY, ...laboratory }));
  app.use(simulatedSupplier({ ...SUPPLIER, ...supplier }));
  app.use(simulatedFeed());
  app.get("/health", (_request, response) => {
    response.set("Cache-Control", "no-store").json({ status: "well" });
  });
  if (opensDemonstration) app.get("/", (_request, response) => response.redirect("/demonstration"));
  app.use(
    "/assets",
    express.static(join(webFolder, "assets"), {
      immutable: true,
      maxAge: A_YEAR_SECONDS * 1000,
      fallthrough: false,
    }),
  );
  app.use(express.static(webFolder, { index: false, maxAge: 0 }));
  app.get("/{*rest}", (_request, response) => {
    response.set("Cache-Control", "no-cache").sendFile(page);
  });
  app.use(answerFailure);
  return app;
}
