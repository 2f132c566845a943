const workspaces = ["web", "server", "cli", "demo", "e2e", "bench"];

/** Imports run one way: everything knows the core, the core knows nobody; no cycles anywhere. */
export default {
  forbidden: [
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "core-knows-nobody",
      severity: "error",
      from: { path: "^core/", pathNot: "\\.test\\.ts$|^core/test/" },
      to: { pathNot: "^core/|node_modules/(zod|es-toolkit|@noble/hashes|jsonc-parser)/" },
    },
    {
      name: "demo-knows-only-core",
      severity: "error",
      from: { path: "^demo/", pathNot: "\\.test\\.ts$" },
      to: { pathNot: "^(demo|core)/|node_modules/" },
    },
    {
      name: "web-knows-core-and-demo",
      severity: "error",
      from: { path: "^web/" },
      to: {
        path: `^(${workspaces.filter((name) => name !== "web" && name !== "demo").join("|")})/`,
      },
    },
    {
      name: "server-and-cli-know-only-core",
      severity: "error",
      from: { path: "^(server|cli)/", pathNot: "\\.test\\.ts$" },
      to: { path: "^(web|demo|e2e|bench)/" },
    },
    {
      name: "no-unresolved",
      severity: "error",
      from: {},
      to: { couldNotResolve: true, pathNot: "\\.css$|\\?url$|^@fontsource|^virtual:" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "dist/" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "types", "default"],
    },
  },
};
