import { wrap, type Remote } from "comlink";

/** A worker that starts with its first use and can be ended: what was asked of it is then never answered. */
export class Endable<Work> {
  private worker: Worker | null = null;
  private remote: Remote<Work> | null = null;

  constructor(private readonly start: () => Worker) {}

  get(): Remote<Work> {
    this.worker ??= this.start();
    this.remote ??= wrap<Work>(this.worker);
    return this.remote;
  }

  end(): void {
    this.worker?.terminate();
    [this.worker, this.remote] = [null, null];
  }
}
