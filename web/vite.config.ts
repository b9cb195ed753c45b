import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { target: "es2022", assetsInlineLimit: 0 },
  server: {
    proxy: { "/api": { target: process.env.SNIKRA_API ?? "http://localhost:8080", changeOrigin: false } },
  },
  test: { include: ["src/**/*.test.{ts,tsx}"] },
});
