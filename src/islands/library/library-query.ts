import { bareHome } from "~/core/exercise/kit";

/** What the library is asked, as it stands in the address of the page. */
export interface LibraryQuery {
  readonly text: string;
  readonly lane: string;
  readonly region: string;
  readonly kit: string;
  readonly positions: string;
  readonly stage: string;
  readonly contraction: string;
  readonly lowKneeBend: boolean;
  readonly activity: string;
}

export const emptyQuery: LibraryQuery = {
  text: "",
  lane: "",
  region: "",
  kit: "any",
  positions: "",
  stage: "",
  contraction: "",
  lowKneeBend: false,
  activity: "",
};

const kits: Record<string, string> = { any: "", home: bareHome.join(","), none: "none" };

/** The query in an address; what it does not name is not asked. */
export function queryFrom(search: string): LibraryQuery {
  const params = new URLSearchParams(search);
  const read = (key: keyof LibraryQuery) => params.get(key) ?? String(emptyQuery[key]);
  return {
    text: read("text"),
    lane: read("lane"),
    region: read("region"),
    kit: read("kit") in kits ? read("kit") : "any",
    positions: read("positions"),
    stage: read("stage"),
    contraction: read("contraction"),
    lowKneeBend: params.get("lowKneeBend") === "true",
    activity: read("activity"),
  };
}

/** The address that asks this query; short, with only what is asked. */
export function addressOf(query: LibraryQuery): string {
  const asked = Object.entries(query).filter(
    ([key, value]) => value !== emptyQuery[key as keyof LibraryQuery],
  );
  return new URLSearchParams(asked.map(([key, value]): [string, string] => [key, String(value)])).toString();
}

/** The parameters that the endpoint understands. */
export function parametersOf({ kit, lowKneeBend, ...query }: LibraryQuery): string {
  const params = new URLSearchParams({
    ...query,
    kit: kits[kit] ?? "",
    lowKneeBend: lowKneeBend ? "true" : "",
  });
  for (const [key, value] of [...params]) if (value === "") params.delete(key);
  return params.toString();
}

/** How many filters narrow the library; words are not counted. */
export const filterCount = (query: LibraryQuery): number =>
  Object.entries(query).filter(
    ([key, value]) => key !== "text" && key !== "activity" && value !== emptyQuery[key as keyof LibraryQuery],
  ).length;
