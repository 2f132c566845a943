const transform = {
  "^.+\\.(t|j)sx?$": [
    "@swc/jest",
    {
      jsc: {
        parser: { syntax: "typescript", tsx: true },
        transform: { react: { runtime: "automatic" } },
        target: "es2022",
      },
      module: { type: "commonjs" },
    },
  ],
};

const shared = {
  transform,
  moduleNameMapper: { "^(\\.{1,2}/.*)\\.js$": "$1" },
  transformIgnorePatterns: ["/node_modules/(?!(@noble|@yonderfell|uuid)/)"],
};

/** Unit tests; the real interface has its own configuration in e2e. */
export default {
  reporters: ["default", "<rootDir>/scripts/slowest.mjs"],
  // Patience, not a measure: a loaded machine may take long over the seeded runs.
  testTimeout: 120_000,
  projects: [
    {
      ...shared,
      displayName: "core",
      rootDir: "core",
      testEnvironment: "node",
      setupFiles: ["<rootDir>/test/setup.ts"],
    },
    { ...shared, displayName: "demo", rootDir: "demo", testEnvironment: "node" },
    { ...shared, displayName: "server", rootDir: "server", testEnvironment: "node" },
    { ...shared, displayName: "cli", rootDir: "cli", testEnvironment: "node" },
    {
      ...shared,
      displayName: "web",
      rootDir: "web",
      testEnvironment: "node",
      setupFiles: ["<rootDir>/test/setup.ts"],
    },
  ],
};
