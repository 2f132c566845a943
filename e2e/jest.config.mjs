/** The real interface in headless Chromium, against the built application. */
export default {
  reporters: ["default", "<rootDir>/../scripts/slowest.mjs"],
  rootDir: ".",
  testEnvironment: "node",
  testMatch: ["**/*.test.ts"],
  testTimeout: 120_000,
  extensionsToTreatAsEsm: [".ts"],
  transform: {
    "^.+\\.ts$": [
      "@swc/jest",
      {
        jsc: { parser: { syntax: "typescript" }, target: "es2022" },
        module: { type: "es6" },
      },
    ],
  },
  moduleNameMapper: { "^(\\.{1,2}/.*)\\.js$": "$1" },
  transformIgnorePatterns: ["/node_modules/(?!@yonderfell)"],
};
