import { arrangements } from "./arrangements";
import { attributions } from "./attributions";
import { circumstances } from "./circumstances";
import { clearances } from "./clearances";
import { conditionChanges } from "./condition-changes";
import { criterionWords } from "./criterion-words";
import { decisions } from "./decisions";
import { documents } from "./documents";
import { endings } from "./endings";
import { events } from "./events";
import { harderDays } from "./harder-days";
import { handovers } from "./handovers";
import { weeks } from "./weeks";
import { identityChanges } from "./identity-changes";
import { intakes } from "./intakes";
import { items } from "./items";
import { lifts } from "./lifts";
import { merges } from "./merges";
import { messages } from "./messages";
import { passings } from "./passings";
import { prescriptions } from "./prescriptions";
import { reports } from "./reports";
import { returns } from "./returns";
import { restrictions } from "./restrictions";
import { results } from "./results";
import { schools } from "./schools";
import { sessions } from "./sessions";
import { sets } from "./sets";
import { signalClearances } from "./signal-clearances";
import { signals } from "./signals";
import { smallDoses } from "./small-doses";
import { stills } from "./stills";
import { stageMoves } from "./stage-moves";
import { traces } from "./traces";
import { turns } from "./turns";
import { visits } from "./visits";
import { voidings } from "./voidings";

/** Every kind of fact, each after those it refers to. Adding one is adding a file, a line here and a migration. */
export const facts = {
  stageMoves,
  schools,
  passings,
  criterionWords,
  events,
  conditionChanges,
  restrictions,
  circumstances,
  items,
  arrangements,
  sessions,
  sets,
  reports,
  visits,
  results,
  traces,
  stills,
  lifts,
  smallDoses,
  decisions,
  prescriptions,
  endings,
  returns,
  clearances,
  signals,
  signalClearances,
  attributions,
  documents,
  intakes,
  turns,
  identityChanges,
  voidings,
  merges,
  handovers,
  weeks,
  messages,
  harderDays,
};

export type FactName = keyof typeof facts;
export const factNames = Object.keys(facts) as FactName[];
