import { extractText } from "unpdf";
import { beforeAll, describe, expect, it } from "vitest";
import type { HandoutView, SheetBody } from "~/contract/handout";
import type { PhoneLink } from "~/contract/phones";
import { at as address, atClinic, begin } from "~tests/harness/at-clinic";

const at = atClinic();
const plain: SheetBody = { language: "en", letters: "usual", ink: "colour", paper: "a4" };
let id: string;
let sheets: string;
let link: PhoneLink;

beforeAll(async () => {
  id = await begin(at, ["kneecap-pain", "capacity", "squat-free"]);
  sheets = address(id, "handout-sheets");
  link = (await at.client.post(address(id, "phones"), {})).body as PhoneLink;
});

/** The sheet as it comes, and its text. */
async function sheet(body: Partial<SheetBody> = {}) {
  const response = await fetch(at.client.url + sheets, {
    method: "POST",
    headers: { origin: at.client.url, cookie: at.client.sessionCookie, "content-type": "application/json" },
    body: JSON.stringify({ ...plain, ...body }),
  });
  const bytes = new Uint8Array(await response.arrayBuffer());
  const { text } = await extractText(bytes, { mergePages: true });
  return { response, text: text.replaceAll(/\s+/gu, " ") };
}

describe("the handout as a PDF", () => {
  it("comes as a file to print and says what the page says, in each language", async () => {
    const view = (await at.client.get(address(id, "handout"))).body as HandoutView;
    const { response, text } = await sheet();
    expect(response.headers.get("content-type")).toBe("application/pdf");
    expect(response.headers.get("content-disposition")).toBe('attachment; filename="exercises.pdf"');
    expect(response.headers.get("cache-control")).toBe("no-store");
    for (const { name } of view.items) expect(text).toContain(name);
    expect(text).toContain(view.calls["same-day"]);
    const german = await sheet({ language: "de", letters: "large", ink: "black", paper: "letter" });
    expect(german.text).toContain(`Übungen für ${view.person.givenName} ${view.person.familyName}`);
    expect(german.text).toContain(view.calls["same-day"]);
  });

  it("holds the code that was made for this patient, and no other", async () => {
    const phone = { token: link.token, code: link.code };
    expect((await sheet({ phone })).text).toContain(link.code);
    const wrong = { path: "/phone", problem: "has ended: make a new code" };
    for (const other of [
      { ...phone, token: "x".repeat(43) },
      { ...phone, code: "AAAA-AAAA" },
    ]) {
      const reply = await at.client.post(sheets, { ...plain, phone: other });
      expect([reply.status, reply.body.problems]).toEqual([422, [wrong]]);
    }
    expect((await at.client.post(address(id, "phones-ended"), { phoneId: null })).status).toBe(200);
    expect((await at.client.post(sheets, { ...plain, phone })).body.problems).toEqual([wrong]);
  });

  it("is refused in words where something of it is not offered", async () => {
    const reply = await at.client.post(sheets, { ...plain, language: "xx", paper: "a3" });
    expect(reply.status).toBe(422);
    expect(reply.body.problems.map(({ path }: { path: string }) => path).sort()).toEqual([
      "/language",
      "/paper",
    ]);
  });
});
