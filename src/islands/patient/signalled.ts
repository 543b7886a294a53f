import type { StairView } from "~/contract/episode";

/** What raising a signal needs to know: whom to call, and the exercises it may have been seen in. */
export type Signalled = Pick<StairView, "episodeId" | "calls"> & {
  readonly items: readonly { readonly itemId: string; readonly name: string }[];
};
