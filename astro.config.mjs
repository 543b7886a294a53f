import { fileURLToPath } from "node:url";
import node from "@astrojs/node";
import react from "@astrojs/react";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "astro/config";
import { wordsOfViews } from "./tools/build/words-plugin.mjs";
import { en, locale } from "./src/messages/en.ts";

/** What makes a schema has no other effect: a view, or a worker, that uses none of them carries none. */
const makersOfSchemas = [
  "Type",
  "oneOf",
  "orNull",
  "endpoint",
  "words",
  "takenWith",
  "limitSchema",
  "restrictionSchema",
];

/** Packages with compiled or data files of their own beside them, or that find their parts at run time. */
const loadedAsTheyAre = [
  "@node-rs/argon2",
  "highs",
  "mysql2",
  "pdfkit",
  "pino",
  "prom-client",
  "qrcode",
  "rate-limiter-flexible",
  "read-excel-file",
];

export default defineConfig({
  output: "server",
  adapter: node({ mode: "middleware" }),
  integrations: [react()],
  trailingSlash: "never",
  devToolbar: { enabled: false },
  // Our own middleware checks the Origin of every write, forms included.
  security: { checkOrigin: false },
  vite: {
    // Astro reads the alias from tsconfig.json for pages and islands, but not for workers.
    resolve: { alias: { "~": fileURLToPath(new URL("./src", import.meta.url)) } },
    // React's own checks of who writes with it are for development; also a process that is tested is what will run.
    define: { "process.env.NODE_ENV": '"production"' },
    // A process loads a few files of ours instead of thousands of everybody's: it starts and first answers in two thirds of the time.
    ssr: { noExternal: true, external: loadedAsTheyAre },
    plugins: [tailwindcss(), wordsOfViews(en, locale)],
    worker: { rollupOptions: { treeshake: { manualPureFunctions: makersOfSchemas } } },
    build: {
      assetsInlineLimit: 0,
      rollupOptions: {
        treeshake: {
          manualPureFunctions: makersOfSchemas,
        },
      },
    },
  },
  experimental: {
    csp: {
      directives: [
        // First: Astro says a directive twice that a page adds to, unless it is the first.
        "connect-src 'self'",
        "default-src 'none'",
        "worker-src 'self'",
        "img-src 'self' data:",
        // A clip that somebody chose, looked at in the page and never sent.
        "media-src blob:",
        "font-src 'self'",
        // Forms are sent by their islands. Before those are alive an Enter would put what was typed into an address.
        "form-action 'none'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
        "manifest-src 'self'",
      ],
    },
  },
});
