import type { Request, Response } from "express";

/** The streams of events that are open: outside compression, and ended when the server stops. */
export class EventStreams {
  readonly #open = new Set<Response>();

  /** Opens a stream; `onEnd` is told once, when the other side has gone or the server stops. */
  open(request: Request, response: Response, onEnd: () => void): void {
    response.writeHead(200, {
      "Content-Type": "text/event-stream",
      "Cache-Control": "no-store",
      Connection: "keep-alive",
    });
    response.flushHeaders();
    this.#open.add(response);
    request.once("close", () => {
      this.#open.delete(response);
      onEnd();
    });
  }

  /** Ends all that are open. */
  endAll(): void {
    for (const response of this.#open) response.end();
  }
}

/** Sends an event of a name with plain data. */
export function sendEvent(response: Response, name: string, data: unknown): void {
  response.write(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
}
