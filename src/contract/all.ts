import * as account from "./account";
import * as calendar from "./calendar";
import * as clinic from "./clinic";
import * as daily from "./daily";
import * as day from "./day";
import type { Endpoint } from "./endpoint";
import type { EndpointName } from "./addresses";
import * as episode from "./episode";
import * as frame from "./frame";
import * as gate from "./gate";
import * as handout from "./handout";
import * as history from "./history";
import * as intake from "./intake";
import * as lab from "./lab";
import * as library from "./library";
import * as lifts from "./lifts";
import * as measures from "./measures";
import * as people from "./people";
import * as phone from "./phone";
import * as phones from "./phones";
import * as plan from "./plan";
import * as record from "./record";
import * as reviewed from "./reviewed";
import * as shelf from "./shelf";
import * as staff from "./staff";
import * as trust from "./trust";
import * as week from "./week";

const rooms = {
  ...clinic,
  ...staff,
  ...shelf,
  ...account,
  ...trust,
  ...episode,
  ...frame,
  ...daily,
  ...record,
  ...reviewed,
  ...people,
  ...phone,
  ...handout,
  ...phones,
  ...calendar,
  ...day,
  ...plan,
  ...measures,
  ...lifts,
  ...gate,
  ...history,
  ...intake,
  ...lab,
  ...library,
  ...week,
};

/** Every endpoint by its name, with its own types. */
export type Wire = { readonly [N in EndpointName]: Extract<(typeof rooms)[keyof typeof rooms], { name: N }> };

/** Every endpoint of the product, but for the calculations, which the catalogue lists. */
export const endpoints: readonly Endpoint[] = Object.values(rooms).filter(
  (part): part is Endpoint & typeof part => typeof part === "object" && "says" in part && "roles" in part,
);
