import { fileURLToPath } from "node:url";
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import { VitePWA } from "vite-plugin-pwa";

/** What an installed Yonderfell looks like to the device. */
const manifest = {
  name: "Yonderfell",
  short_name: "Yonderfell",
  description: "What is due on your machines and why, what was done, and what comes next.",
  lang: "en-GB",
  id: "/",
  start_url: "/ahead",
  scope: "/",
  display: "standalone" as const,
  background_color: "#f6f2e9",
  theme_color: "#f6f2e9",
  icons: [
    { src: "/icon.svg", type: "image/svg+xml", sizes: "any", purpose: "any" },
    { src: "/icon-192.png", type: "image/png", sizes: "192x192", purpose: "any" },
    { src: "/icon-512.png", type: "image/png", sizes: "512x512", purpose: "any" },
    { src: "/icon-whole.png", type: "image/png", sizes: "512x512", purpose: "maskable" },
  ],
};

/** The storage library is a file of its own, the same for the page and for its workers: it is fetched once. */
const ONE_DEXIE = {
  codeSplitting: { groups: [{ name: "dexie", test: /node_modules\/dexie\// }] },
  topLevelVar: true,
  comments: false,
};

/** Small files that the first sight needs in any case are one: each by itself costs more than it holds. */
const FIRST_SIGHT = {
  ...ONE_DEXIE,
  codeSplitting: {
    groups: [
      ...ONE_DEXIE.codeSplitting.groups,
      {
        name: "small",
        test: /(change\/result|data\/newId|slice\/crossing|references\/ownerOf|session\/notify|session\/openBook|\/useOneAtATime|\/useIdle|\/useTheme)\.tsx?$/,
      },
    ],
  },
};

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // A newer version waits until the person asks for it.
      registerType: "prompt",
      injectRegister: null,
      manifest,
      workbox: {
        globPatterns: ["**/*.{js,css,html,svg,png,woff2}"],
        // The solver is as large as half of all else: kept from its first use on, not while the program is put in place.
        runtimeCaching: [
          { urlPattern: /\.wasm$/, handler: "CacheFirst", options: { cacheName: "solver" } },
        ],
        maximumFileSizeToCacheInBytes: 6e6,
        navigateFallback: "/index.html",
        navigateFallbackDenylist: [/^\/health$/, /^\/stand-ins\//],
        cleanupOutdatedCaches: true,
        // The page that installs it is served by it at once, so that it can go on without the server.
        clientsClaim: true,
      },
    }),
  ],
  resolve: {
    alias: [
      { find: /^dexie$/, replacement: fileURLToPath(new URL("vite/dexie.mjs", import.meta.url)) },
    ],
  },
  worker: { format: "es", rolldownOptions: { output: ONE_DEXIE } },
  build: {
    outDir: "dist",
    target: "es2023",
    manifest: true,
    rolldownOptions: { output: FIRST_SIGHT },
    // Fonts stay files of their own: the security policy allows no data addresses.
    assetsInlineLimit: 0,
  },
});
