import { stopSignal, type StopSignalCode } from "~/core/intake/stop-signal";

/** Whether a sign stops everything, as long as nobody of the clinic has said what it stops: all that is not one exercise's own. */
export const stopsAll = (code: StopSignalCode): boolean => stopSignal(code).suspends !== "item";
