import { afterEach, describe, expect, it } from "vitest";
import { askWhenSignedOut, signInAgain } from "./signed-out";

let takeBack: (() => void) | undefined;
afterEach(() => takeBack?.());

describe("signed out meanwhile", () => {
  it("nobody who asks: nobody signs in", async () => {
    expect(await signInAgain()).toBe(false);
  });

  it("several calls that find it out at once ask once, and hear the same", async () => {
    let asked = 0;
    let answer: (signedIn: boolean) => void = () => undefined;
    takeBack = askWhenSignedOut(() => {
      asked += 1;
      return new Promise((resolve) => {
        answer = resolve;
      });
    });
    const calls = [signInAgain(), signInAgain(), signInAgain()];
    answer(true);
    expect(await Promise.all(calls)).toEqual([true, true, true]);
    expect(asked).toBe(1);
  });

  it("is asked anew the next time, also after nobody signed in", async () => {
    const answers = [false, true];
    takeBack = askWhenSignedOut(() => Promise.resolve(answers.shift() ?? false));
    expect([await signInAgain(), await signInAgain()]).toEqual([false, true]);
  });

  it("a page that is left asks no more, and takes nothing from the one that came after", async () => {
    const left = askWhenSignedOut(() => Promise.resolve(false));
    takeBack = askWhenSignedOut(() => Promise.resolve(true));
    left();
    expect(await signInAgain()).toBe(true);
    takeBack();
    expect(await signInAgain()).toBe(false);
  });
});
