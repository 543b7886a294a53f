import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { CaseFile } from "~/core/case/case-file";
import type { CaseloadRow } from "~/contract/clinic";
import { atBrowser } from "~tests/harness/at-browser";
import { begin } from "~tests/harness/at-clinic";
import { phone as phoneSize, visit, visitor, type Visitor } from "~tests/harness/browser";
import { signedIn } from "~tests/harness/client";
import { Life } from "~tests/harness/life";
import { OwnPhone } from "~tests/harness/own-phone";

const at = atBrowser({ signedIn: false });
const life = new Life(at, ["two-leg-squat"]);
let id: string;
const phones: Visitor[] = [];
let home: OwnPhone;
let away: OwnPhone;

const march = (day: number, time: string) => `2026-03-${day}T${time}:00.000Z`;
/** What is no complaint: that there was no connection. */
const expected = /ERR_INTERNET_DISCONNECTED/;

/** A gardener whose kneecap hurts, with one exercise, a phone in the kitchen and one in a valley without a signal. */
beforeAll(async () => {
  at.servers.setClock(march(11, "09:00"));
  const client = await signedIn(at.url);
  id = await begin({ client }, ["kneecap-pain", "capacity", "squat-free"], { irritability: "low" });
  life.stair = `${at.url}/episodes/${id}`;
  const opened = async () => {
    const { token } = (await client.post(`/api/episodes/${id}/phones`, undefined)).body as { token: string };
    const owner = await visitor(at.browser, at.url, phoneSize);
    phones.push(owner);
    await owner.page.clock.setSystemTime(march(11, "09:00"));
    const phone = new OwnPhone(owner);
    await phone.open(token);
    return phone;
  };
  home = await opened();
  away = await opened();
  await away.offline();
});
afterAll(async () => {
  for (const { context } of phones) await context.close();
});

/** The clinic's and a phone's clock stand at an instant. */
async function clock(phone: OwnPhone, day: number, time: string): Promise<void> {
  at.servers.setClock(march(day, time));
  await phone.lookAt(march(day, time));
}

/** The person's line of the caseload, as the clinic sees it at an instant: what for, and when they last worked. */
async function line(day: number, time: string): Promise<string> {
  at.servers.setClock(march(day, time));
  const rows = (await (await signedIn(at.url)).get("/api/caseload")).body.rows as CaseloadRow[];
  const row = rows.find(({ episodeId }) => episodeId === id);
  return `${row?.attention}, ${row?.lastSessionOn}`;
}

describe("a week with two phones and the clinic", () => {
  it("the phone at home tells the evening and the morning at once", async () => {
    await clock(home, 12, "17:00");
    await home.train(1, 1);
    await home.allSent();
    expect(await line(13, "06:30")).toBe("wait, 2026-03-12");
    await clock(home, 13, "07:00");
    await home.morning(1);
    await home.allSent();
    expect(await line(13, "08:00")).toBe("hold, 2026-03-12");
  });

  it("what is done in the valley is not known, until there is a signal; then it counts for its own day", async () => {
    await away.page.clock.setSystemTime(march(14, "17:00"));
    await away.lookAt(march(14, "17:00"));
    await away.train(1, 2);
    expect(await away.sent()).toContain("One thing will be sent");
    expect(await line(15, "06:30")).toBe("hold, 2026-03-12");
    await away.lookAt(march(15, "07:00"));
    await away.morning(1);
    expect(await away.sent()).toContain("2 things will be sent");
    expect(await line(15, "08:00")).toBe("hold, 2026-03-12");
    at.servers.setClock(march(15, "12:00"));
    await away.page.clock.setSystemTime(march(15, "12:00"));
    await away.online();
    await away.allSent();
    expect(await line(15, "12:30")).toBe("step-up, 2026-03-14");
  });

  it("the clinic trains in between, and the phone at home tells how the morning was", async () => {
    expect(await life.train("2026-03-16", 1, ["squat: 3x12 p1 e6"])).toHaveLength(1);
    await clock(home, 17, "07:00");
    await home.morning(1);
    await home.allSent();
    expect(await line(17, "08:00")).toBe("step-up, 2026-03-16");
  });

  it("a bad evening at home and the morning after, told by the other phone, are one reaction", async () => {
    await clock(home, 18, "17:00");
    await home.train(1, 5);
    await home.allSent();
    // Five lies in this rule's hold band: what the morning says decides.
    expect(await line(19, "06:30")).toBe("wait, 2026-03-18");
    await clock(away, 19, "07:00");
    await away.morning(5);
    await away.allSent();
    expect(await line(19, "08:00")).toBe("flare, 2026-03-18");
    await life.arrive("2026-03-19", "08:30");
    expect(await life.outcomes()).toEqual(["Ease"]);
    expect(await life.item("two-leg-squat")).toMatch(
      /Wed 18 Mar: next morning 5, before the session 1[\s\S]*Wed 18 Mar: done alone; nobody watched/,
    );
  });

  it("each thing is in the record once, at its own time", async () => {
    const file = (await (await signedIn(at.url)).get(`/api/episodes/${id}/case`)).body as CaseFile;
    const worked = file.sessions.map(({ at: when }) => Date.parse(when)).sort();
    expect(worked).toHaveLength(4);
    [march(12, "17:00"), march(14, "17:00"), march(16, "09:00"), march(18, "17:00")].forEach((when, n) =>
      // A phone's clock goes on while it is used, the clinic's stands.
      expect(Math.abs((worked[n] ?? 0) - Date.parse(when))).toBeLessThan(5 * 60_000),
    );
    expect(file.reports.map(({ trainingDate, pain }) => [trainingDate, pain]).sort()).toEqual([
      ["2026-03-12", 1],
      ["2026-03-14", 1],
      ["2026-03-16", 1],
      ["2026-03-18", 5],
    ]);
    await visit(at.page, `/episodes/${id}/record`);
    expect(phones.flatMap(({ complaints }) => complaints).filter((one) => !expected.test(one))).toEqual([]);
  });
});
