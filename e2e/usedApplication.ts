import { startApplication, type RunningApplication } from "./application.js";

/**
 * The application for the tests of one file: started before the first, ended after the last, and
 * after each nothing may have been written to the console or asked of another machine.
 */
export function usedApplication(): () => RunningApplication {
  let app: RunningApplication | null = null;
  const running = (): RunningApplication => {
    if (app === null) throw new Error("the application runs only within tests");
    return app;
  };
  beforeAll(async () => {
    app = await startApplication();
  });
  afterAll(async () => {
    await app?.end();
  });
  afterEach(() => {
    expect(running().misdeeds).toEqual({ consoleErrors: [], foreignRequests: [] });
  });
  return running;
}
