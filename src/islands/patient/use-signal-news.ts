import type { EndpointName } from "~/contract/addresses";
import type { StairView, Written } from "~/contract/episode";
import { usePatientNews } from "~/islands/frame/patient-news";

const ofSignals: readonly EndpointName[] = ["raiseSignal", "clearSignal", "takeBackSignal"];

/** Takes over the stair as it stands after a stop signal was raised, cleared or taken back at the head of the view. */
export function useSignalNews(accept: (next: StairView) => void): void {
  usePatientNews(({ endpoint, answer }) => {
    if (ofSignals.includes(endpoint)) accept((answer as Written).stair);
  });
}
