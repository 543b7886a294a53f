import { spawnSync } from "node:child_process";
import { describe, expect, it } from "vitest";
import { caseExample, decideExample } from "~/core/calculation/examples";
import { answerCommand } from "../../tools/calc-command";
import { toolArguments } from "../../tools/machine/tool.mjs";
import { allCalculations } from "~/catalogue/calculations/all";

/** The command in this process: what it answers does not depend on how it was started. */
const calc = (args: string[], input = "") => answerCommand(args, () => input);

/** The command as a person or a script calls it, without npm in between. */
function called(args: string[], input?: string) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ["tools/run.mjs", "calc", ...args], {
    encoding: "utf8",
    ...(input === undefined ? {} : { input }),
  });
  return { status, stdout, stderr };
}

it("a tool is run as one file; where nothing may be written, file by file", () => {
  const own = toolArguments("calc.ts");
  expect(own).toEqual([expect.stringMatching(/calc\.mjs$/)]);
  const read = toolArguments("calc.ts", "package.json/under-a-file");
  expect(read).toEqual(["--import", "tsx", expect.stringMatching(/tools\/calc\.ts$/)]);
  const [one, other] = [own, read].map((args) =>
    spawnSync(process.execPath, [...args, "--list"]).stdout.toString(),
  );
  expect(one).toBe(other);
});

describe("npm run -s calc", () => {
  it("lists every calculation", async () => {
    const { status, stdout } = await calc(["--list"]);
    expect(status).toBe(0);
    expect(
      stdout
        .trim()
        .split("\n")
        .map((line) => line.split(" ")[0]),
    ).toEqual(allCalculations.map((c) => c.name));
  });

  it("effort-target of 180 N at 50–70 % is 90–126 N", async () => {
    const { status, stdout } = called(["effort-target", '{"maximumN":180,"lowPercent":50,"highPercent":70}']);
    expect([status, JSON.parse(stdout)]).toEqual([0, { lowN: 90, highN: 126 }]);
  });

  it("prints schemas with an example that runs when it is fed back", async () => {
    const { example } = JSON.parse((await calc(["--schema", "decide"])).stdout);
    expect(example).toEqual(JSON.parse(JSON.stringify(decideExample)));
    const answer = await calc(["decide"], JSON.stringify(example));
    expect(JSON.parse(answer.stdout)).toMatchObject({
      outcome: "step-up",
      change: { knob: "effort", to: "70-85" },
    });
  });

  it("reviews a case file from standard input, without a database", async () => {
    const answer = called(["case"], JSON.stringify(caseExample));
    expect(JSON.parse(answer.stdout)).toMatchObject({
      stage: "isometric",
      school: "monitored",
      gate: { outcome: "open" },
      items: [{ proposal: { outcome: "step-up" } }],
    });
  });

  it.each([
    ["pain 11", ["pain-response", '{"school":"monitored","painBefore":0,"painDuring":11}'], "/painDuring"],
    ["a key too many", ["effort-target", '{"maximumN":1,"lowPercent":1,"highPercent":1,"x":1}'], "/x"],
    ["no JSON", ["effort-target", "{"], "not JSON"],
    ["an unknown name", ["squeeze-everything", "{}"], "not a calculation"],
    ["nothing at all", [], "usage"],
  ])("%s: exit 2, one line that names it", async (_what, args, words) => {
    const { status, stdout, stderr } = await calc(args);
    expect([status, stdout]).toEqual([2, ""]);
    expect(stderr.trim().split("\n")).toHaveLength(1);
    expect(stderr).toContain(words);
  });

  it("says what is wrong on standard error, with exit code 2", async () => {
    const { status, stdout, stderr } = called(["no-such-thing", "{}"]);
    expect([status, stdout, stderr]).toEqual([
      2,
      "",
      "no-such-thing is not a calculation; --list shows them\n",
    ]);
  });

  it("answers a batch line by line, in order, whatever stands in it", async () => {
    const lines = [
      { calc: "effort-target", input: { maximumN: 180, lowPercent: 50, highPercent: 70 } },
      { calc: "limb-symmetry", input: { involved: 90, uninvolved: 0, better: "higher" } },
      { calc: "effort-target", input: { maximumN: "180", lowPercent: 50, highPercent: 70 } },
      { calc: "no-such-thing", input: {} },
      { calc: "decide", input: decideExample },
    ].map((line) => JSON.stringify(line));
    const { status, stdout } = called(["--batch"], `${lines[0]}\nnot JSON\n${lines.slice(1).join("\n")}\n`);
    expect(status).toBe(0);
    const answers = stdout
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line));
    expect(answers).toMatchObject([
      { ok: true, value: { lowN: 90, highN: 126 } },
      { ok: false, problems: [{ path: "", problem: "is not JSON" }] },
      { ok: false, problems: [{ path: "uninvolved" }] },
      { ok: false, problems: [{ path: "maximumN", problem: "must be a number" }] },
      { ok: false, problems: [{ path: "calc" }] },
      { ok: true, value: { outcome: "step-up" } },
    ]);
  });
});
