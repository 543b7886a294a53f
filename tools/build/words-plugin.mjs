import path from "node:path";
import MessageFormat from "@messageformat/core";
import compileModule from "@messageformat/core/compile-module.js";

const virtual = "virtual:words/";
const registry = "/src/messages/words.ts";
const mentioned = /["'`]([a-z][A-Za-z]*)\.(?=[A-Za-z$0-9])/g;
const labelled = /\blabel\(\s*["'`]([a-z][A-Za-z]*)["'`]/g;

/**
 * The groups of words that a source mentions: the part before the first dot of every text that begins as a key does, and what
 * `label` is given. Too many do no harm, so it asks nothing of the code but that keys are written where they are used.
 */
export function groupsIn(source, groups) {
  const found = [...source.matchAll(mentioned), ...source.matchAll(labelled)].map(([, group]) => group);
  return [...new Set(found)].filter((group) => groups.has(group)).sort();
}

/**
 * In the browser a view carries its own words, compiled, instead of all of them and a compiler: every source brings the
 * groups it mentions, and groups used by several views become shared files. On the server nothing changes.
 *
 * @param {Readonly<Record<string, string>>} messages ICU texts by key
 * @param {string} locale their language
 */
export function wordsOfViews(messages, locale) {
  const groups = new Map();
  for (const [key, text] of Object.entries(messages)) {
    const group = key.split(".")[0];
    groups.set(group, { ...groups.get(group), [key]: text });
  }
  return {
    name: "words-of-views",
    enforce: "pre",
    resolveId: (id) => (id.startsWith(virtual) ? `\0${id}` : null),
    load(id, { ssr } = {}) {
      if (id.startsWith(`\0${virtual}`)) return compiled(groups.get(id.slice(virtual.length + 1)), locale);
      return !ssr && withoutQuery(id).endsWith(registry) ? browserRegistry : null;
    },
    transform(code, id, { ssr } = {}) {
      const file = withoutQuery(id);
      if (ssr || !/\/src\/(islands|messages)\/.*\.tsx?$/.test(file) || /\/messages\/(en|words)/.test(file))
        return null;
      const own = groupsIn(code, groups);
      const imports = own.map((group) => `import ${JSON.stringify(virtual + group)};`).join("");
      return own.length === 0 ? null : { code: imports + code, map: null };
    },
  };
}

const withoutQuery = (id) => path.posix.normalize(id.split("?")[0] ?? "");

/** One group as a module that puts its words where `t` looks for them. */
function compiled(words, locale) {
  const source = compileModule(new MessageFormat(locale), words);
  return `import { put } from "~/messages/words";\n${source.replace("export default", "const words =")}\nput(words);`;
}

const browserRegistry = `
const words = new Map();
export const put = (group) => { for (const key of Object.keys(group)) words.set(key, group[key]); };
export const wordOf = (key) => words.get(key);
export const hasWord = (key) => words.has(key);
`;
