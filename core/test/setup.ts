import fc from "fast-check";

/** The seed of the properties: the same at every run, so that a failure is one of the change; `SEED=` tries others. */
const SEED = 20261128;

fc.configureGlobal({ seed: Number(process.env["SEED"] ?? SEED) });
