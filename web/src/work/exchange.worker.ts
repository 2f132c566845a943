import { expose } from "comlink";
import { dexieExchange } from "./exchange.js";

expose(dexieExchange());
