import { csvParse } from "d3";
import { expect, it } from "vitest";
import { logTable } from "./log-table";

const line = (person: string | null, by = "Jorun Vask") => ({
  id: "0195717b-6a00-7000-8000-000000000001",
  at: "2026-03-10T09:00:00.000Z",
  by,
  action: "read-record",
  kind: "episode",
  episodeId: null,
  person,
  address: "192.0.2.7",
  outcome: "done" as const,
  link: 12,
});

it("every line comes out as it went in, whatever signs are in a name", () => {
  const rows = csvParse(logTable([line('O"Hara, Sáoirse\nJ.'), line(null)]));
  expect(rows.map((row) => row["person"])).toEqual(['O"Hara, Sáoirse\nJ.', ""]);
  expect(rows.columns).toEqual(["link", "at", "by", "action", "kind", "person", "outcome", "address"]);
});

it.each(["=HYPERLINK(1)", "+1", "-1", "@sum", "\tx"])("%s is no formula in it", (name) => {
  const [row] = csvParse(logTable([line(name, name)]));
  expect([row?.["person"], row?.["by"]]).toEqual([`'${name}`, `'${name}`]);
});
