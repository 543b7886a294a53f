import jsqr from "jsqr";
import { expect, it } from "vitest";
import { codeSquares } from "./code-squares";

it("is read back by another library, whatever its size on paper", () => {
  const text = "https://clinic.example/my#0123456789abcdefghijklmnopqrstuvwxyzABCDEFG";
  for (const size of [84, 300]) {
    const pixels = 400;
    const image = new Uint8ClampedArray(pixels * pixels * 4).fill(255);
    for (const { x, y, side } of codeSquares(text, size))
      for (
        let row = Math.round((y * pixels) / size);
        row < Math.round(((y + side) * pixels) / size);
        row += 1
      )
        for (
          let column = Math.round((x * pixels) / size);
          column < Math.round(((x + side) * pixels) / size);
          column += 1
        )
          image.fill(0, (row * pixels + column) * 4, (row * pixels + column) * 4 + 3);
    expect(jsqr(image, pixels, pixels)?.data).toBe(text);
  }
});
