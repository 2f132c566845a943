import { expose } from "comlink";
import { Tracer } from "./tracer.js";

expose(new Tracer());
