import { expect, it } from "vitest";
import { at, atClinic, begin, paths } from "~tests/harness/at-clinic";
import { signedIn } from "~tests/harness/client";
import { v7 as uuid } from "uuid";

const clinic = atClinic();

it("the day planned for an operation comes: nobody leaves ‘before surgery’ by its date", async () => {
  const surgery = {
    on: "2026-03-11",
    procedure: "cruciate ligament reconstruction",
    graft: "hamstring",
  };
  const id = await begin(clinic, ["ligament-reconstruction", "before-surgery", "quad-set-both"], { surgery });
  clinic.servers.setClock("2026-03-11T09:00:00.000Z");
  // The session of the day before has gone idle.
  const next = await signedIn(clinic.servers.urls[0] as string);
  const { body: gate } = await next.get(at(id, "gate"));
  expect(gate).toMatchObject({ stage: "before-surgery", beforeSurgery: true, surgeryOn: null });
  const reply = await next.post(at(id, "gate"), {
    id: uuid(),
    stage: "recover",
    action: "override",
    reason: "The day of the operation has come",
    expectedVersion: gate.version,
  });
  expect(reply.status).toBe(422);
  expect(paths(reply)).toContain("/stage");
  expect((await next.get(at(id, "plan"))).body.stage).toBe("before-surgery");
});
