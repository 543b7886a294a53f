import { expect, it } from "vitest";
import { madeOnce } from "./made-once";

it("of a fact something is made once, of another fact with the same content again", () => {
  let made = 0;
  const nth = madeOnce(({ id }: { id: string }) => `${id}${(made += 1)}`);
  const fact = { id: "a" };
  expect([nth(fact), nth(fact), nth({ ...fact })]).toEqual(["a1", "a1", "a2"]);
});
