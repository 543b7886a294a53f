// What keeps the floors and the pages; the rules of the language, of types and of React are oxlint's (.oxlintrc.json).
import parser from "@typescript-eslint/parser";
import astro from "eslint-plugin-astro";
import boundaries from "eslint-plugin-boundaries";

/** The floors of the house, top to bottom, rooms of one floor side by side: each imports only from those below it. */
const floors = [
  ["pages"],
  ["layouts"],
  ["islands"],
  ["workers"],
  ["server"],
  ["messages"],
  ["catalogue", "contract"],
  ["core"],
];
const rooms = floors.flat();

/** What a floor may use besides everything below it. */
const beside = { pages: ["styles"], layouts: ["styles"] };

const policies = floors.flatMap((floor, at) =>
  floor.map((room) => ({
    from: { element: { type: room } },
    allow: {
      to: { element: { types: { anyOf: [room, ...floors.slice(at + 1).flat(), ...(beside[room] ?? [])] } } },
    },
  })),
);

const coreMayNotImport = [
  "node:*",
  "react",
  "react-*",
  "react-dom*",
  "astro",
  "astro:*",
  "mysql2",
  "mysql2/*",
  "pino",
];
const sources = ["src/**/*.{ts,tsx,astro}"];

/** What would make a page of somebody's words. */
const htmlFromStrings = [
  "JSXAttribute[name.name='dangerouslySetInnerHTML']",
  "MemberExpression[property.name=/^(innerHTML|outerHTML|insertAdjacentHTML)$/]",
].map((selector) => ({ selector, message: "Text is put in as text, never as HTML." }));

export default [
  // A test stands beside its module and may look at the whole house.
  { ignores: ["dist", ".astro", "node_modules", ".data", ".mutation", "src/**/*.test.ts"] },
  { files: ["src/**/*.{ts,tsx}"], languageOptions: { parser } },
  ...astro.configs.recommended,
  { files: sources, rules: { "no-restricted-syntax": ["error", ...htmlFromStrings] } },
  {
    files: ["src/**/*.astro"],
    rules: { "astro/no-set-html-directive": "error" },
  },
  {
    files: ["src/islands/**/*.tsx"],
    rules: {
      "no-restricted-syntax": [
        "error",
        ...htmlFromStrings,
        {
          selector:
            "CallExpression[callee.name=/^use(Layout)?Effect$/] > ArrowFunctionExpression[body.type!='BlockStatement']",
          message:
            "An effect hands back its clean-up or nothing; write braces, so that no other value slips out.",
        },
      ],
    },
  },
  {
    files: sources,
    plugins: { boundaries },
    settings: {
      "import/resolver": { typescript: { project: "./tsconfig.json" } },
      "boundaries/include": ["src/**/*"],
      "boundaries/elements": [
        ...rooms.filter((room) => room !== "pages").map((type) => ({ type, pattern: `src/${type}` })),
        { type: "styles", pattern: "src/styles" },
        { type: "pages", pattern: "src/pages" },
        { type: "pages", pattern: "src/middleware" },
      ],
    },
    rules: { "boundaries/dependencies": ["error", { default: "disallow", policies }] },
  },
  {
    files: ["src/core/**/*.ts"],
    rules: {
      "no-restricted-imports": [
        "error",
        { patterns: [{ group: coreMayNotImport, message: "The core has no I/O and no interface." }] },
      ],
      "no-restricted-globals": ["error", "process", "fetch", "window", "document"],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "Time is an input of the core." },
        { object: "Math", property: "random", message: "Randomness is an input of the core." },
      ],
    },
  },
];
