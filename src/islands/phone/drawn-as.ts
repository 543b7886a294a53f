import type { PhoneItem } from "~/contract/phone";
import type { Shown } from "~/islands/figure/use-figure";

/** What a figure needs to know of an exercise on the phone or on paper. */
export const drawnAs = ({ exerciseId, lane, drawnLike }: PhoneItem): Shown["exercise"] => ({
  id: exerciseId,
  lane,
  ...(drawnLike === null ? {} : { drawnLike }),
});
