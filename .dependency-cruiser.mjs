const workspaces = ["web", "server", "cli", "demo", "e2e", "bench"];

/** The layers of the screens, the uppermost first: a folder imports from those below it only. */
const layers = ["app", "places", "form", "ui", "session", "work", "words", "data"];

/** Imports run one way: everything knows the core, the core knows nobody; no cycles anywhere. */
export default {
  forbidden: [
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "core-knows-nobody",
      severity: "error",
      from: { path: "^core/", pathNot: "\\.test\\.ts$|^core/test/" },
      to: { pathNot: "^core/|node_modules/(zod|es-toolkit|@noble/hashes|jsonc-parser|highs)/" },
    },
    {
      // It is handed the solver; whoever loads it says where from.
      name: "core-knows-solver-by-type",
      severity: "error",
      from: { path: "^core/", pathNot: "\\.test\\.ts$" },
      to: { path: "node_modules/highs/", dependencyTypesNot: ["type-only"] },
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
    ...layers.slice(1).map((layer, index) => ({
      name: `${layer}-imports-nothing-above-it`,
      severity: "error",
      from: { path: `^web/src/${layer}/` },
      to: { path: `^web/src/(${layers.slice(0, index + 1).join("|")})/` },
    })),
    {
      name: "a-place-imports-no-other-place",
      comment: "What places have in common stands in `places/shared`.",
      severity: "error",
      from: { path: "^web/src/places/(?!shared/)([^/]+)/" },
      to: { path: "^web/src/places/[^/]+/", pathNot: "^web/src/places/(shared|$1)/" },
    },
    {
      name: "what-places-share-imports-no-place",
      severity: "error",
      from: { path: "^web/src/places/shared/" },
      to: { path: "^web/src/places/(?!shared/)" },
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
