import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { maySeal, seal, unseal } from "./seal";

const [clinic, other, id] = ["a1", "b2", "01890a5d-ac96-774b-bcce-b302099a8057"];
const open = Buffer.from("a picture").toString("base64");
const key = (fill: number) => Buffer.alloc(32, fill).toString("base64");

beforeEach(() => void vi.stubEnv("RECORD_KEY", key(7)));
afterEach(() => void vi.unstubAllEnvs());

it("what is sealed is opened by the same clinic, under the same id, with the same key, and by nobody else", () => {
  const sealed = seal(clinic, id, open) ?? "";
  expect(sealed).not.toContain(open);
  expect(unseal(clinic, id.toUpperCase(), sealed)).toBe(open);
  expect(unseal(other, id, sealed)).toBeNull();
  expect(unseal(clinic, "another", sealed)).toBeNull();
  vi.stubEnv("RECORD_KEY", key(8));
  expect(unseal(clinic, id, sealed)).toBeNull();
});

it("altered it is not opened, and is never sealed twice alike", () => {
  const sealed = seal(clinic, id, open) ?? "";
  expect(seal(clinic, id, open)).not.toBe(sealed);
  const bytes = Buffer.from(sealed, "base64");
  for (const at of [0, 12, bytes.length - 1]) {
    const altered = Buffer.from(bytes);
    altered[at] = (altered[at] ?? 0) ^ 1;
    expect(unseal(clinic, id, altered.toString("base64"))).toBeNull();
  }
  expect(unseal(clinic, id, "AAAA")).toBeNull();
});

it("without a key nothing is sealed; a key that is none is said to be so", () => {
  vi.stubEnv("RECORD_KEY", "");
  expect(maySeal()).toBe(false);
  expect(seal(clinic, id, open)).toBeNull();
  expect(unseal(clinic, id, open)).toBeNull();
  vi.stubEnv("RECORD_KEY", "short");
  expect(() => maySeal()).toThrow(/32 bytes/);
});
