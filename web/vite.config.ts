import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: "es" },
  build: {
    outDir: "dist",
    target: "es2023",
    manifest: true,
    // Fonts stay files of their own: the security policy allows no data addresses.
    assetsInlineLimit: 0,
  },
});
