import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    target: "es2022",
    assetsInlineLimit: 0,
    // The page of a phone that is a camera is one of its own: it is served to no one else.
    rolldownOptions: { input: { index: "index.html", phone: "phone.html" } },
  },
  server: {
    // The handbook shows the pictures of the documents.
    fs: { allow: [".."] },
    proxy: { "/api": { target: process.env.SNIKRA_API ?? "http://localhost:8080", changeOrigin: false } },
  },
  test: {
    include: ["src/**/*.test.{ts,tsx}"],
    setupFiles: "src/patient.ts",
    testTimeout: 20_000,
    // A fresh world for each file took seven eighths of the time; every file cleans up after itself.
    pool: "threads",
    isolate: false,
  },
});
