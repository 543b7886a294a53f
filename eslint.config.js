// What keeps the pages; the rules of the language, of types, of React and of the core are oxlint's (.oxlintrc.json), the floors' a test's (tests/floors).
import astro from "eslint-plugin-astro";

export default [
  { ignores: ["dist", ".astro", "node_modules", ".data", ".mutation"] },
  ...astro.configs.recommended,
  // Text is put in as text, never as HTML.
  { files: ["src/**/*.astro"], rules: { "astro/no-set-html-directive": "error" } },
];
