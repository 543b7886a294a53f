import { v5 as uuidOf } from "uuid";

const namespace = "6f0b1c1e-6a4b-5d0e-9a55-2f7c8f0d4a11";

/** The same name gives the same id on every machine and every day. */
export function demoId(...name: (string | number)[]): string {
  return uuidOf(name.join("/"), namespace);
}

/** A small seeded generator of numbers 0…1 (mulberry32), so that the demo looks alike everywhere. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let x = Math.imul(state ^ (state >>> 15), 1 | state);
    x = (x + Math.imul(x ^ (x >>> 7), 61 | x)) ^ x;
    return ((x ^ (x >>> 14)) >>> 0) / 4_294_967_296;
  };
}
