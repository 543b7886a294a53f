/**
 * Where every endpoint answers: method and path, `{…}` for what varies. Alone in its file, so that a view which calls an
 * endpoint carries this list and none of the schemas.
 */
export const addresses = {
  signIn: "POST /api/sign-in",
  signOut: "POST /api/sign-out",
  readCalls: "GET /api/clinic/calls",
  setCalls: "POST /api/clinic/calls",
  readStaff: "GET /api/staff",
  addColleague: "POST /api/staff",
  changeColleague: "POST /api/staff/changes",
  makePasswordLink: "POST /api/staff/links",
  setPassword: "POST /api/password",
  readAccount: "GET /api/account",
  changePassword: "POST /api/account/password",
  endSessions: "POST /api/account/sessions-ended",
  offerSecondFactor: "POST /api/account/second-factor",
  confirmSecondFactor: "POST /api/account/second-factor-on",
  dropSecondFactor: "POST /api/account/second-factor-off",
  setPreferences: "POST /api/account/preferences",
  readAudit: "GET /api/audit",
  readClinic: "GET /api/clinic",
  setClinic: "POST /api/clinic",
  readShelf: "GET /api/clinic/shelf",
  setShelf: "POST /api/clinic/shelf",
  readKeeping: "GET /api/clinic/keeping",
  exportPerson: "GET /api/episodes/{id}/person-file",
  mergePeople: "POST /api/episodes/{id}/merges",
  handOver: "POST /api/episodes/{id}/handovers",
  askErasure: "POST /api/episodes/{id}/erasure",
  listCaseload: "GET /api/caseload",
  markExpected: "POST /api/clinic/expected",
  readDayFile: "POST /api/clinic/day-file",
  findPeople: "POST /api/people/search",

  readFrame: "GET /api/episodes/{id}/frame",
  readStair: "GET /api/episodes/{id}",
  exportCase: "GET /api/episodes/{id}/case",
  setSchool: "POST /api/episodes/{id}/school",

  recordSession: "POST /api/episodes/{id}/sessions",
  readSessionDraft: "GET /api/episodes/{id}/session-draft",
  keepSessionDraft: "POST /api/episodes/{id}/session-draft",
  recordReport: "POST /api/episodes/{id}/reports",
  signDecision: "POST /api/episodes/{id}/decisions",
  clearStop: "POST /api/episodes/{id}/clearances",
  raiseSignal: "POST /api/episodes/{id}/signals",
  clearSignal: "POST /api/episodes/{id}/signal-clearances",
  takeBackSignal: "POST /api/episodes/{id}/signals-taken-back",
  attributeFlare: "POST /api/episodes/{id}/suspects",

  readRecord: "GET /api/episodes/{id}/record",
  compareSchools: "GET /api/episodes/{id}/schools",
  readDays: "GET /api/episodes/{id}/days",
  replayDecisions: "GET /api/episodes/{id}/replay",
  signDocument: "POST /api/episodes/{id}/documents",
  voidEntry: "POST /api/episodes/{id}/voidings",

  readPlan: "GET /api/episodes/{id}/plan",
  addItem: "POST /api/episodes/{id}/items",
  endItem: "POST /api/episodes/{id}/endings",
  putBackItem: "POST /api/episodes/{id}/endings-taken-back",
  arrangePlan: "POST /api/episodes/{id}/arrangements",
  composeList: "POST /api/episodes/{id}/composition",
  setCircumstances: "POST /api/episodes/{id}/circumstances",

  readPerson: "GET /api/episodes/{id}/person",
  changeIdentity: "POST /api/episodes/{id}/identity",
  turnEpisode: "POST /api/episodes/{id}/turns",

  readHistory: "GET /api/episodes/{id}/history",
  recordEvent: "POST /api/episodes/{id}/events",
  setCondition: "POST /api/episodes/{id}/conditions",

  readMeasures: "GET /api/episodes/{id}/measures",
  recordVisit: "POST /api/episodes/{id}/measures",
  importVisits: "POST /api/episodes/{id}/imports",
  exportResults: "GET /api/episodes/{id}/results-table",
  exportDictionary: "GET /api/episodes/{id}/results-dictionary",
  readStills: "GET /api/episodes/{id}/stills",
  readTraces: "GET /api/episodes/{id}/traces",
  readTrend: "GET /api/episodes/{id}/trend",

  readWeek: "GET /api/episodes/{id}/week",
  keepWeek: "POST /api/episodes/{id}/week",
  solveWeek: "POST /api/episodes/{id}/week-solutions",
  readLab: "GET /api/episodes/{id}/lab",
  readLifts: "GET /api/episodes/{id}/lifts",
  recordLift: "POST /api/episodes/{id}/lifts",
  signSmallDose: "POST /api/episodes/{id}/small-doses",

  readGate: "GET /api/episodes/{id}/gate",
  signGate: "POST /api/episodes/{id}/gate",
  judgeCriterion: "POST /api/episodes/{id}/criterion-words",
  setPassing: "POST /api/episodes/{id}/passing",

  readHandout: "GET /api/episodes/{id}/handout",
  printHandout: "POST /api/episodes/{id}/handout-sheets",
  readPhones: "GET /api/episodes/{id}/phones",
  makePhoneLink: "POST /api/episodes/{id}/phones",
  endPhones: "POST /api/episodes/{id}/phones-ended",
  readCalendar: "GET /api/episodes/{id}/calendar",
  makeFeed: "POST /api/episodes/{id}/calendar-feeds",
  endFeed: "POST /api/episodes/{id}/calendar-feeds-ended",
  readFeed: "GET /api/calendar/{token}",
  writeMessage: "POST /api/episodes/{id}/messages",
  allowHarder: "POST /api/episodes/{id}/harder-days",

  openPhone: "POST /api/phone/openings",
  readPhone: "GET /api/phone",
  readOwnCalendar: "GET /api/phone/calendar",
  forgetPhone: "POST /api/phone/forgotten",
  tellSession: "POST /api/phone/sessions",
  tellMorning: "POST /api/phone/mornings",
  tellSignal: "POST /api/phone/signals",

  proposePlacing: "POST /api/intakes/placing",
  signIntake: "POST /api/intakes",
  listIntakeDrafts: "GET /api/intakes/drafts",
  keepIntakeDraft: "POST /api/intakes/drafts",
  dropIntakeDraft: "POST /api/intakes/drafts/dropped",

  searchLibrary: "GET /api/library",
  searchPatientLibrary: "GET /api/episodes/{id}/library",
  searchCatalogue: "GET /api/exercises",
  readExercise: "GET /api/exercises/{code}",
  saveExercise: "POST /api/exercises",
  retireExercise: "POST /api/exercises/retirements",
  exportExercises: "GET /api/exercises/file",
  importExercises: "POST /api/exercises/file",

  listCalculations: "GET /api/calc",
  describeInterface: "GET /api/openapi.json",
} as const;

export type EndpointName = keyof typeof addresses;

/** Names of what varies in a path: `"GET /api/episodes/{id}/case"` → `"id"`. */
export type PathParameter<A extends string> = A extends `${string}{${infer Name}}${infer Rest}`
  ? Name | PathParameter<Rest>
  : never;

/** Method and path of an endpoint. */
export function addressOf(name: EndpointName): { method: "GET" | "POST"; path: string } {
  const [method, path] = addresses[name].split(" ") as ["GET" | "POST", string];
  return { method, path };
}

/**
 * The address with its values put in: those that the path names, the rest as a query.
 *
 * @example urlOf("readTrend", { id: "e1", measure: "knee range" }) // "/api/episodes/e1/trend?measure=knee+range"
 */
export function urlOf(name: EndpointName, values: Readonly<Record<string, string>>): string {
  const { path } = addressOf(name);
  const inPath = new Set([...path.matchAll(/\{(\w+)\}/g)].map(([, key]) => key));
  const filled = path.replaceAll(/\{(\w+)\}/g, (_, key: string) => encodeURIComponent(values[key] ?? ""));
  const query = new URLSearchParams(Object.entries(values).filter(([key]) => !inPath.has(key))).toString();
  return query === "" ? filled : `${filled}?${query}`;
}
