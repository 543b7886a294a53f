import { hasWord } from "./words";
import { label } from "./say";

/**
 * What was done, in the log's words; where there are none yet, its name with spaces.
 *
 * @param action as the log holds it, such as `read-record`
 */
export function sayAct(action: string): string {
  return hasWord(`act.${action}`) ? label("act", action) : action.replaceAll("-", " ");
}
