import { expect, it } from "vitest";
import { putDrafts, takeDrafts } from "./tab-drafts";

/** As much of a tab's storage as is asked of it: its keys are its own fields, as in a browser. */
function someStorage(held: Record<string, string>): Storage {
  const hidden = (value: unknown) => ({ value, enumerable: false });
  const storage = { ...held } as Record<string, string>;
  return Object.defineProperties(storage, {
    getItem: hidden((key: string) => storage[key] ?? null),
    setItem: hidden((key: string, value: string) => (storage[key] = value)),
    clear: hidden(() => Object.keys(storage).forEach((key) => Reflect.deleteProperty(storage, key))),
  }) as unknown as Storage;
}

it("what was being typed leaves the tab, and comes back as it was", () => {
  const storage = someStorage({ "visit-1": "{...}", "session-2": "{}" });
  const drafts = takeDrafts(storage);
  expect(Object.keys(storage)).toEqual([]);
  putDrafts(storage, drafts);
  expect({ ...storage }).toEqual({ "visit-1": "{...}", "session-2": "{}" });
});
