import { expect, it } from "vitest";
import type { PhoneView } from "~/contract/phone";
import type { Waiting } from "./phone-store";
import { morningToAskFor } from "./reminder";

const view = {
  asOf: "2026-03-09T20:00:00Z",
  zone: "Europe/London",
  school: "monitored",
  items: [],
  days: [],
  doneOn: [],
  morningOf: null,
  halted: null,
} as unknown as PhoneView;
const done: Waiting = {
  name: "tellSession",
  body: { id: "s", occurredAt: "2026-03-09T18:00:00Z", painBefore: 0, items: [] },
};
const told: Waiting = {
  name: "tellMorning",
  body: { id: "m", occurredAt: "2026-03-10T07:00:00Z", trainingDate: "2026-03-09", pain: 1 },
};
const at = "2026-03-10T07:30:00Z";
const asked = (waiting: Waiting[], hour = 7, remindedOf?: string, now = at) =>
  morningToAskFor(view, waiting, now, { hour, remindedOf });

it("asks once for the morning after, in the morning, for yesterday's work alone", () => {
  expect(asked([done])).toBe("2026-03-09");
  expect(asked([done], 5)).toBeNull();
  expect(asked([done], 12)).toBeNull();
  expect(asked([done], 7, "2026-03-09")).toBeNull();
  expect(asked([done], 7, "2026-03-07")).toBe("2026-03-09");
  expect(asked([done, told])).toBeNull();
  expect(asked([])).toBeNull();
  expect(asked([done], 7, undefined, "2026-03-11T07:30:00Z")).toBeNull();
});
