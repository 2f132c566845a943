import { expose } from "comlink";
import { config } from "zod";
import { dexieTables } from "./tables.js";

// The security policy lets no code be made from text, which the checks would try for speed.
config({ jitless: true });

expose(dexieTables());
