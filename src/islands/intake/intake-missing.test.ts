import { expect, it } from "vitest";
import { emptyIntake } from "./intake-fields";
import { missingFields } from "./intake-missing";

const whole = {
  ...emptyIntake,
  flagsAsked: true,
  consent: true,
  givenName: "Runa",
  familyName: "Testrup",
  bornOn: "1985-04-02",
  activity: "Rower",
  pathway: "kneecap-pain",
  involvedSide: "left" as const,
  diagnosis: "Pain on stairs",
  onsetOn: "2026-02-10",
};

it("nothing lacks of a whole form; of an empty one all of it, in the form's order", () => {
  expect(missingFields(whole)).toEqual([]);
  const order = missingFields(emptyIntake).map(({ name }) => name);
  expect(order.slice(0, 3)).toEqual(["flagsAsked", "consent", "givenName"]);
  expect(order).toHaveLength(10);
});

it("each of them lacks where it is empty or blank", () => {
  for (const { name } of missingFields(emptyIntake)) {
    const empty = emptyIntake[name as keyof typeof emptyIntake];
    expect(missingFields({ ...whole, [name]: empty }).map((one) => one.name)).toEqual([name]);
  }
  expect(missingFields({ ...whole, diagnosis: "  " }).map(({ says }) => says)).toEqual(["intake.diagnosis"]);
});
