export { createApp, type ServerOptions } from "./app.js";
export { serve, type Serving } from "./serve.js";
