import node from "@astrojs/node";
import react from "@astrojs/react";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "astro/config";

export default defineConfig({
  output: "server",
  adapter: node({ mode: "standalone" }),
  integrations: [react()],
  trailingSlash: "never",
  devToolbar: { enabled: false },
  // Our own middleware checks the Origin of every write, forms included.
  security: { checkOrigin: false },
  vite: { plugins: [tailwindcss()], build: { assetsInlineLimit: 0 } },
  experimental: {
    csp: {
      directives: [
        "default-src 'none'",
        "connect-src 'self'",
        "img-src 'self' data:",
        "font-src 'self'",
        "form-action 'self'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
        "manifest-src 'self'",
      ],
    },
  },
});
