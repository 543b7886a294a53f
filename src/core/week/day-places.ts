import { bareHome, fullGym } from "~/core/exercise/kit";

/** Where the work of a day is done. */
export const dayPlaces = ["home", "clinic", "away"] as const;
export type DayPlace = (typeof dayPlaces)[number];

/**
 * What there is to work with at each place: at home what the person has, at the clinic that and everything a clinic has, away (a
 * travel day) only what stands in any room.
 *
 * @param home codes of what the person has at home
 * @example placesOf(["ankle-cuff"]).find(({ place }) => place === "home")?.kit // ["ankle-cuff"]
 * Source: common practice.
 */
export function placesOf(home: readonly string[]): { readonly place: DayPlace; readonly kit: string[] }[] {
  const kitAt: Record<DayPlace, readonly string[]> = {
    home,
    clinic: [...new Set([...home, ...fullGym])],
    away: bareHome,
  };
  return dayPlaces.map((place) => ({ place, kit: [...kitAt[place]] }));
}
