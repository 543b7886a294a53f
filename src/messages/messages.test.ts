import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import MessageFormat from "@messageformat/core";
import { describe, expect, it } from "vitest";
import { groupsIn } from "../../tools/build/words-plugin.mjs";
import { demoPeople } from "~demo/people";
import { demoCase } from "~tests/builders/lived-cases";
import { attentionCodes } from "~/core/caseload/attention";
import { evidenceCodes } from "~/core/decision/record/evidence";
import { easeCauseCodes, outcomes } from "~/core/decision/record/decide-input";
import { reviewCase } from "~/core/review/review-case";
import { bodyPositions, forbidCodes, laneCodes, muscles, phases, regions } from "~/core/exercise/body";
import { kitList } from "~/core/exercise/kit";
import { knobs } from "~/core/exercise/knob";
import { quickProblemValues } from "~/core/session/quick-line";
import { painSchoolCodes } from "~/core/response/pain-school";
import { startingMeasures } from "~/catalogue/measures/all";
import { sayChange } from "./say-change";
import { sayDose } from "./say-dose";
import { sayEvidence, sayRule } from "./say-evidence";
import { en, locale, type MessageKey } from "./en";
import { wordOf } from "./words";
import { isKey, sayDate, sayNumber, t } from "./say";

it("no two files of words have one key: the later one would take the place of the other", () => {
  const folder = path.join(import.meta.dirname);
  const keys = readdirSync(folder)
    .filter((name) => /^en(-[\w-]+)?\.ts$/.test(name))
    .flatMap((name) =>
      [...readFileSync(path.join(folder, name), "utf8").matchAll(/^ {2}"([^"]+)":/gm)].map(([, key]) => key),
    );
  expect(keys.filter((key, n) => keys.indexOf(key) < n)).toEqual([]);
  expect(keys.length).toBe(Object.keys(en).length);
});

describe("every code of the core has words", () => {
  const wanted = [
    ...evidenceCodes.map((code) => `evidence.${code}`),
    ...outcomes.map((code) => `outcome.${code}`),
    ...easeCauseCodes.map((code) => `rule.ease-${code}`),
    ...attentionCodes.map((code) => `attention.${code}`),
    ...laneCodes.map((code) => `lane.${code}`),
    ...knobs.flatMap(({ name, unit }) => [`knob.${name}`, `unit.${unit}`]),
    ...painSchoolCodes.flatMap((code) => [`school.${code}`, `school.allows.${code}`]),
    ...bodyPositions.map((code) => `position.${code}`),
    ...regions.map((code) => `region.${code}`),
    ...muscles.map((code) => `muscle.${code}`),
    ...phases.map((code) => `phase.${code}`),
    ...forbidCodes.map((code) => `forbid.${code}`),
    ...kitList.map(({ code }) => `kit.${code}`),
    ...Object.keys(quickProblemValues).map((code) => `quick.problem.${code}`),
    ...startingMeasures.flatMap(({ unit, entryUnits = [] }) =>
      [unit, ...entryUnits.map((e) => e.unit)].map((u) => `unit.${u}`),
    ),
  ];
  it.each(wanted)("%s", (key) => expect(isKey(key)).toBe(true));
});

it("no text praises or shouts", () => {
  for (const text of Object.values(en)) expect(text).not.toMatch(/!|great|well done|awesome/i);
});

it("sentences are made whole from every proposal of the demo", () => {
  for (const person of demoPeople) {
    for (const { proposal, prescription, maximumN } of reviewCase(demoCase(person)).items) {
      const texts = [
        sayRule(proposal.rule, proposal.evidence),
        sayDose(prescription, maximumN),
        ...proposal.evidence.map(sayEvidence),
        ...(proposal.change ? [sayChange(proposal.change, maximumN)] : []),
      ];
      for (const text of texts) expect(text).not.toMatch(/undefined|NaN|\{|\}|\[object/);
    }
  }
});

it("says doses, changes, dates and numbers as the trade does", () => {
  const dose = {
    style: "squeeze" as const,
    policy: "effort-band" as const,
    sets: 5,
    hold: { bottom: 10, top: 10 },
    effort: { lowPercent: 50, highPercent: 70 },
    restSeconds: 30,
    daysPerWeek: 4,
  };
  const prescription = { variantId: "x", settings: {}, dose };
  expect(sayDose(prescription, 180)).toBe("5 × 10 s · 50–70 % · 90–126 N");
  expect(sayDose(prescription, null)).toBe("5 × 10 s · 50–70 %");
  const eased = { ...prescription, dose: { ...dose, effort: { lowPercent: 30, highPercent: 40 } } };
  const change = { kind: "knob" as const, knob: "effort", from: "50-70", to: "30-40", prescription: eased };
  expect(sayChange(change, 180)).toBe("effort: 50–70 % → 30–40 % (54–72 N)");
  expect(sayDate("2026-11-24")).toBe("Tue 24 Nov");
  expect([sayNumber(0.7636), sayNumber(92.91), sayNumber(231.4)]).toEqual(["0.76", "92.9", "231"]);
  expect(t("caseload.count", { shown: 1 })).toBe("1 person");
});

describe("values of a sentence", () => {
  /** Names of the values that a message asks for. */
  const asked = (key: MessageKey): string[] => {
    const word = wordOf(key);
    const names = new Set<string>();
    const get = (_: object, name: string) => {
      names.add(name);
      return 1;
    };
    if (typeof word === "function") word(new Proxy({}, { get }));
    return [...names];
  };

  it.each(Object.entries(quickProblemValues))(
    "quick line, %s: uses only what the problem carries",
    (code, values) => {
      const used = asked(`quick.problem.${code as keyof typeof quickProblemValues}`);
      for (const name of used) expect(values).toContain(name);
    },
  );

  it("one that nobody gave leaves a gap; the sentence is said all the same", () => {
    expect(t("quick.problem.fault-unknown")).toBe("no such fault in this exercise; it has …");
    expect(t("caseload.count", {})).toMatch(/people|person/);
    expect(t("quick.problem.out-of-range", { low: 0, high: 10 })).toContain("from 0 to 10");
  });
});

describe("words of a view", () => {
  const groups = new Map(Object.keys(en).map((key) => [key.split(".")[0], {}]));

  it("are found by the keys that its sources mention, however they are put together", () => {
    const source =
      't("session.title"); t(`lane.${code}`); label("unit", x); const list = [["?", "keys.help"]]; "a.b"; "x.session"';
    expect(groupsIn(source, groups)).toEqual(["keys", "lane", "session", "unit"]);
  });

  it("every message compiles", () => {
    const format = new MessageFormat(locale);
    for (const [key, text] of Object.entries(en)) {
      const word = format.compile(text);
      const values = new Proxy({}, { get: () => 2 });
      const said = typeof word === "string" ? word : word(values as Record<string, unknown>);
      expect(said === "", key).toBe(text === "");
    }
  });
});
