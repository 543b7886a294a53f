import astro from "eslint-plugin-astro";
import boundaries from "eslint-plugin-boundaries";
import reactHooks from "eslint-plugin-react-hooks";
import globals from "globals";
import tseslint from "typescript-eslint";

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

export default tseslint.config(
  { ignores: ["dist", ".astro", "node_modules", ".data", ".mutation"] },
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  ...astro.configs.recommended,
  {
    rules: {
      "@typescript-eslint/consistent-type-imports": ["error", { disallowTypeAnnotations: false }],
      "@typescript-eslint/consistent-type-definitions": "off",
      "@typescript-eslint/dot-notation": "off",
      // A field named only to leave it out of the rest.
      "@typescript-eslint/no-unused-vars": ["error", { ignoreRestSiblings: true }],
      eqeqeq: "error",
      "no-console": "error",
      "max-lines": ["error", { max: 300 }],
      // A schema and the type made from it share one name.
      "no-redeclare": "off",
      "@typescript-eslint/no-redeclare": "off",
    },
  },
  { files: ["**/*.{js,mjs}"], languageOptions: { globals: globals.node } },
  {
    files: ["src/islands/**/*.tsx"],
    plugins: { "react-hooks": reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      "react-hooks/incompatible-library": "off",
      "no-restricted-syntax": [
        "error",
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
    ignores: ["**/*.test.ts"],
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
  { files: ["tools/bench-*.ts"], rules: { "no-console": "off" } },
  // A test stands beside its module and may look at the whole house.
  { files: ["src/**/*.test.ts"], rules: { "boundaries/dependencies": "off" } },
  {
    files: ["src/catalogue/{exercises,pathways}/*.ts", "tests/reference/gate-table.ts"],
    rules: { "max-lines": "off" },
  },
);
