import fc from "fast-check";
import { expect, it } from "vitest";
import { happenedAt } from "./happened-at";

const instants = fc.integer({ min: 1e10, max: 4e12 }).map((ms) => new Date(ms).toISOString());

it("does not depend on how wrong the clock is, and never lies after the arrival", () => {
  fc.assert(
    fc.property(
      instants,
      fc.integer({ min: -1e11, max: 1e11 }),
      fc.integer({ min: 0, max: 1e10 }),
      (receivedAt, wrong, ago) => {
        const by = (ms: number) => new Date(Date.parse(receivedAt) + wrong + ms).toISOString();
        const told = happenedAt({ occurredAt: by(-ago), sentAt: by(0), receivedAt });
        expect(Date.parse(told)).toBe(Date.parse(receivedAt) - ago);
      },
    ),
  );
  const receivedAt = "2026-03-10T18:00:00.000Z";
  expect(
    happenedAt({ occurredAt: "2026-03-11T00:00:00.000Z", sentAt: "2026-03-10T00:00:00.000Z", receivedAt }),
  ).toBe(receivedAt);
  expect(
    happenedAt({ occurredAt: "1970-01-01T00:00:00.000Z", sentAt: "9999-12-31T00:00:00.000Z", receivedAt }),
  ).toBe("1970-01-01T00:00:00.000Z");
});
