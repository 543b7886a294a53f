import { describe, expect, it } from "vitest";
import { emptyIntake, fieldOf, resumedIntake, toIntake } from "./intake-fields";

it.each([
  ["/intake/person/givenName", "givenName"],
  ["/intake/surgery", "surgeryOn"],
  ["/intake/surgery/on", "surgeryOn"],
  ["/surgery/graft", "graft"],
  ["/intake/limits/2/mostDeg", "limits.2.degrees"],
  ["/limits/0/until", "limits.0.until"],
  ["/intake/tasks/1/rating", "tasks.1.rating"],
  ["/targetOn", "targetOn"],
])("%s is said at the field %s", (path, field) => {
  expect(fieldOf(path)).toBe(field);
});

it("leaves out what was not typed, and whose episode it stands beside", () => {
  const intake = toIntake({ ...emptyIntake, beside: "an id", tasks: [{ text: " ", rating: "3" }] });
  for (const key of ["beside", "surgery", "targetOn", "school", "history"])
    expect(intake).not.toHaveProperty(key);
  expect(intake.tasks).toEqual([]);
  expect(intake.reachesFloor).toBe(true);
});

it("an operation half typed is sent as one, so that what is missing is said", () => {
  const intake = toIntake({ ...emptyIntake, procedure: "meniscus repair" });
  expect(intake.surgery).toEqual({ on: "", procedure: "meniscus repair" });
});

it("own kit comes on top of what every home has, each piece once", () => {
  const { kit } = toIntake({ ...emptyIntake, place: "own", kit: ["chair", "step"] });
  expect(kit).toEqual([...new Set(kit)]);
  expect(kit).toEqual(expect.arrayContaining([...toIntake(emptyIntake).kit, "step"]));
});

describe("an intake that was kept", () => {
  it("comes back field by field; what is of another shape is left empty", () => {
    const kept = {
      ...emptyIntake,
      givenName: "Runa",
      limits: "none",
      tasks: [{ text: 1 }],
      kit: ["step"],
      medicines: ["salt"],
    };
    expect(resumedIntake(kept)).toEqual({ ...emptyIntake, givenName: "Runa", kit: ["step"] });
    expect(resumedIntake({ ...emptyIntake, consent: true })).toEqual({ ...emptyIntake, consent: true });
    expect(resumedIntake(null)).toEqual(emptyIntake);
  });
});
