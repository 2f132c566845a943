import type { AddressInfo } from "node:net";
import { readFileSync } from "node:fs";
import { createServer, type Server } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { createApp, type ServerOptions } from "./app.js";
import { EventStreams } from "./standIns/eventStreams.js";

/** A server that is up: its address, and the way to stop it. */
export interface Serving {
  readonly address: string;
  readonly stop: () => Promise<void>;
}

/** The address of this machine that no other can reach. */
export const LOOPBACK = "127.0.0.1";

/** So long a request under way may take to end when the server is told to stop. */
const GRACE_MS = 2000;

/** Whether only this machine can reach an address to listen at. */
export function isLoopback(host: string): boolean {
  return host === "localhost" || host === "::1" || /^127(\.\d{1,3}){3}$/.test(host);
}

/** The files of a certificate and its key. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
}

function read(file: string, what: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    throw new Error(`${what} cannot be read from ${file}`, { cause: error });
  }
}

/** Serves at `port` of `host`, on loopback unless told otherwise, over https where there is a certificate; port 0 takes any free one. Once told to stop, it ends requests still under way after `grace` milliseconds. */
export async function serve(
  options: ServerOptions,
  port: number,
  host: string = LOOPBACK,
  grace = GRACE_MS,
  secure: Certificate | null = null,
): Promise<Serving> {
  const streams = new EventStreams();
  const app = createApp(options, streams);
  const server: Server =
    secure === null
      ? createServer(app)
      : createSecureServer(
          { cert: read(secure.cert, "the certificate"), key: read(secure.key, "its key") },
          app,
        );
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, host, () => {
      server.off("error", reject);
      resolve();
    });
  });
  const { port: taken } = server.address() as AddressInfo;
  const name = host.includes(":") ? `[${host}]` : host;
  return {
    address: `${secure === null ? "http" : "https"}://${name}:${taken}/`,
    stop: () => {
      streams.endAll();
      return stop(server, grace);
    },
  };
}

/** Takes no new requests, lets those under way end, and frees the port. */
async function stop(server: Server, grace: number): Promise<void> {
  const closed = new Promise<void>((resolve, reject) => {
    server.close((error) => (error === undefined ? resolve() : reject(error)));
  });
  server.closeIdleConnections();
  const impatience = setTimeout(() => server.closeAllConnections(), grace);
  try {
    await closed;
  } finally {
    clearTimeout(impatience);
  }
}
