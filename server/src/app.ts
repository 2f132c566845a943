import { existsSync } from "node:fs";
import { join, resolve } from "node:path";
import compression from "compression";
import express, { type Express, type NextFunction, type Request, type Response } from "express";

/** How the server is set up. */
export interface ServerOptions {
  /** The folder of the built application. */
  readonly webFolder: string;
  /** Whether the root address opens the demonstration book. */
  readonly opensDemonstration: boolean;
}

const POLICY = [
  "default-src 'none'",
  "script-src 'self'",
  "worker-src 'self'",
  // Dialog primitives set their styles from script; they can carry no code.
  "style-src 'self' 'unsafe-inline'",
  "font-src 'self'",
  "img-src 'self' data: blob:",
  "connect-src 'self'",
  "manifest-src 'self'",
  "base-uri 'none'",
  "form-action 'none'",
  "frame-ancestors 'none'",
].join("; ");

const A_YEAR_SECONDS = 31536000;

function guard(_request: Request, response: Response, next: NextFunction): void {
  response.set({
    "Content-Security-Policy": POLICY,
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
  });
  next();
}

/** The server: the built application and nothing else. Throws where the application is not built. */
export function createApp({ webFolder, opensDemonstration }: ServerOptions): Express {
  const page = resolve(webFolder, "index.html");
  if (!existsSync(page)) throw new Error("the application is not built: run npm run build first");
  const app = express();
  app.disable("x-powered-by");
  app.use(guard);
  app.use(compression());
  app.get("/health", (_request, response) => {
    response.json({ status: "well" });
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
  return app;
}
