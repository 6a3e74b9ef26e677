/// <reference types="vitest/config" />
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
  build: {
    // The second page is the repaired device's own: it takes nothing of the first one's with it.
    rolldownOptions: { input: ["index.html", "touch.html"] },
    // A strict content policy knows no data: fonts.
    assetsInlineLimit: (file) => (/\.woff2?$/.test(file) ? false : undefined),
  },
  server: { proxy: { "/api": "http://127.0.0.1:8480" } },
  test: { environment: "jsdom", setupFiles: ["src/test-setup.ts"], globals: true, isolate: false },
});
