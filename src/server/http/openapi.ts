import type { TSchema } from "@sinclair/typebox";
import { LibraryAnswer } from "~/core/interchange/library-contract";
import { allCalculations } from "~/catalogue/calculations";
import { CaseFile } from "~/core/case/case-file";
import * as contract from "~/core/interchange/contract";
import { ExerciseFile } from "~/core/progression/exercise-file";
import { CallsBody, CallsView, CallsWritten } from "~/core/interchange/clinic-contract";
import * as intake from "~/core/interchange/intake-contract";
import { Exercise } from "~/core/progression/exercise";
import * as measure from "~/core/interchange/measure-contract";
import * as plan from "~/core/interchange/plan-contract";
import * as daily from "~/core/interchange/daily-contract";
import * as record from "~/core/interchange/record-contract";
import { Replay } from "~/core/review/replay-decisions";
import { Type } from "@sinclair/typebox";

interface Operation {
  readonly method: "get" | "post";
  readonly path: string;
  readonly summary: string;
  readonly body?: TSchema;
  readonly answer: TSchema;
  readonly example?: unknown;
}

const caseload = Type.Object({ rows: Type.Array(contract.CaseloadRow) });
const kept = Type.Object({ id: Type.String(), savedAt: Type.String() });
const signedIn = Type.Object({ signedIn: Type.Boolean() });
const episode = "/api/episodes/{id}";

/** Every endpoint with the schemas that check it; a test compares this list with the route files. */
export const operations: readonly Operation[] = [
  { method: "post", path: "/api/sign-in", summary: "Sign in", body: contract.SignInBody, answer: signedIn },
  { method: "post", path: "/api/sign-out", summary: "Sign out", answer: signedIn },
  { method: "get", path: "/api/clinic/calls", summary: "Whom to call, by urgency", answer: CallsView },
  {
    method: "post",
    path: "/api/clinic/calls",
    summary: "Set whom to call, by urgency",
    body: CallsBody,
    answer: CallsWritten,
  },
  { method: "get", path: "/api/caseload", summary: "Active episodes, worst first", answer: caseload },
  { method: "get", path: episode, summary: "The stair of a patient", answer: contract.StairView },
  {
    method: "get",
    path: `${episode}/record`,
    summary: "The record of an episode",
    answer: record.RecordView,
  },
  { method: "get", path: `${episode}/case`, summary: "Export a case file", answer: CaseFile },
  write("sessions", "Record a session", contract.SessionBody),
  write("reports", "Record the next day", contract.ReportBody),
  write("decisions", "Sign, change or refuse a proposal", contract.DecisionBody),
  write("school", "Set the pain school, with a reason", contract.SchoolBody),
  write("clearances", "Clear a stopped item in writing", contract.ClearanceBody),
  write("signals", "Raise a stop signal", daily.SignalBody),
  write("signal-clearances", "Clear a stop signal in writing", daily.SignalClearanceBody),
  write("suspects", "Trace a reaction to another exercise", daily.AttributionBody),
  write("documents", "Sign a visit note or a letter", daily.DocumentBody),
  {
    method: "get",
    path: `${episode}/session-draft`,
    summary: "The unfinished session",
    answer: daily.KeptSessionDraft,
  },
  write("session-draft", "Keep an unfinished session", daily.SessionDraftBody, kept),
  {
    method: "get",
    path: `${episode}/schools`,
    summary: "One exercise's record judged by every pain school",
    answer: daily.SchoolComparison,
  },
  {
    method: "get",
    path: `${episode}/replay`,
    summary: "Signed proposals made again from the record",
    answer: Replay,
  },
  { method: "get", path: "/api/exercises/{code}", summary: "One exercise in use", answer: Exercise },
  { method: "get", path: `${episode}/plan`, summary: "The plan of a patient", answer: plan.PlanView },
  {
    method: "get",
    path: `${episode}/measures`,
    summary: "What can be measured and where each measure stands",
    answer: measure.MeasuresView,
  },
  write("measures", "Record the results of a visit", measure.VisitBody, measure.VisitWritten),
  { method: "get", path: `${episode}/trend`, summary: "One measure over time", answer: measure.TrendView },
  { method: "get", path: `${episode}/gate`, summary: "The gate on one page", answer: measure.GateView },
  write("gate", "Sign a move through the gate, past it or back", measure.GateBody, measure.GateWritten),
  write("passing", "Set how this patient's gates are passed", measure.PassingBody, measure.GateWritten),
  write("items", "Put an exercise into the plan", plan.ItemBody, plan.PlanWritten),
  write("circumstances", "Set days, minutes, kit and limits", plan.CircumstancesBody, plan.PlanWritten),
  write("endings", "Take an item out of the plan", plan.EndingBody, plan.PlanWritten),
  {
    method: "post",
    path: "/api/intakes",
    summary: "Sign an intake: person, episode, stage and plan",
    body: intake.IntakeBody,
    answer: intake.IntakeWritten,
  },
  {
    method: "post",
    path: "/api/intakes/placing",
    summary: "Propose stage and plan; nothing is stored",
    body: intake.PlacingBody,
    answer: intake.PlacingAnswer,
  },
  {
    method: "get",
    path: "/api/intakes/drafts",
    summary: "Unfinished intakes",
    answer: intake.DraftList,
  },
  {
    method: "post",
    path: "/api/intakes/drafts",
    summary: "Keep an unfinished intake",
    body: intake.DraftBody,
    answer: Type.Object({ id: Type.String(), savedAt: Type.String() }),
  },
  {
    method: "get",
    path: "/api/library",
    summary: "Search the library, exercise by exercise",
    answer: LibraryAnswer,
  },
  {
    method: "get",
    path: `${episode}/library`,
    summary: "The library for one patient, with what was left out and why",
    answer: LibraryAnswer,
  },
  {
    method: "get",
    path: "/api/exercises",
    summary: "Search the clinic's catalogue",
    answer: plan.CatalogueAnswer,
  },
  {
    method: "post",
    path: "/api/exercises",
    summary: "Add or revise an exercise of the clinic's own",
    body: plan.ExerciseBody,
    answer: plan.CatalogueWritten,
  },
  {
    method: "post",
    path: "/api/exercises/retirements",
    summary: "Retire an exercise or take it back",
    body: plan.RetirementBody,
    answer: plan.CatalogueWritten,
  },
  {
    method: "get",
    path: "/api/exercises/file",
    summary: "Export the clinic's own exercises",
    answer: ExerciseFile,
  },
  {
    method: "post",
    path: "/api/exercises/file",
    summary: "Import exercises, all or none",
    body: plan.ImportBody,
    answer: plan.CatalogueWritten,
  },
  {
    method: "get",
    path: "/api/calc",
    summary: "Names of all calculations",
    answer: Type.Object({ calculations: Type.Array(Type.Object({ name: Type.String() })) }),
  },
  ...allCalculations.map((c): Operation => ({
    method: "post",
    path: `/api/calc/${c.name}`,
    summary: c.says,
    body: c.input,
    answer: c.output,
    example: c.example,
  })),
  { method: "get", path: "/api/openapi.json", summary: "This description", answer: Type.Object({}) },
];

function write(name: string, summary: string, body: TSchema, answer: TSchema = contract.Written): Operation {
  return { method: "post", path: `${episode}/${name}`, summary, body, answer };
}

/** The interface description (OpenAPI 3.1) made from the schemas that check every request. */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const operation of operations) {
    paths[operation.path] = { ...paths[operation.path], [operation.method]: describe(operation) };
  }
  return {
    openapi: "3.1.0",
    info: {
      title: "Patient Stair",
      version: "1",
      description: "All times are UTC; all quantities are in SI units.",
    },
    paths,
  };
}

function describe({ path, summary, body, answer, example }: Operation): object {
  const json = (schema: TSchema, sample?: unknown) => ({
    "application/json": {
      schema: { ...schema, $id: undefined },
      ...(sample === undefined ? {} : { example: sample }),
    },
  });
  const problem = { "application/problem+json": { schema: contract.Problem } };
  return {
    summary,
    ...(path.includes("{id}")
      ? {
          parameters: [
            { name: "id", in: "path", required: true, schema: { type: "string", format: "uuid" } },
          ],
        }
      : {}),
    ...(body ? { requestBody: { required: true, content: json(body, example) } } : {}),
    responses: {
      "200": { description: "Done", content: json(answer) },
      default: { description: "A problem, by field where one is wrong", content: problem },
    },
  };
}
