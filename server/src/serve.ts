import type { AddressInfo } from "node:net";
import type { Server } from "node:http";
import { createApp, type ServerOptions } from "./app.js";

/** A server that is up: its address, and the way to stop it. */
export interface Serving {
  readonly address: string;
  readonly stop: () => Promise<void>;
}

const LOOPBACK = "127.0.0.1";

/** Serves on loopback only; port 0 takes any free one. */
export async function serve(options: ServerOptions, port: number): Promise<Serving> {
  const app = createApp(options);
  const server = await new Promise<Server>((resolve, reject) => {
    const starting = app.listen(port, LOOPBACK, (error?: Error) =>
      error === undefined ? resolve(starting) : reject(error),
    );
  });
  const { port: taken } = server.address() as AddressInfo;
  const stop = (): Promise<void> =>
    new Promise((resolve, reject) => {
      server.close((error) => (error === undefined ? resolve() : reject(error)));
      server.closeAllConnections();
    });
  return { address: `http://${LOOPBACK}:${taken}/`, stop };
}
