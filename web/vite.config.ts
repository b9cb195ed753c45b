import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { target: "es2022", assetsInlineLimit: 0 },
  server: { proxy: { "/api": "http://localhost:8080" } },
  test: { include: ["src/**/*.test.ts"] },
});
