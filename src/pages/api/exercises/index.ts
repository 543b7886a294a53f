import { ExerciseBody } from "~/core/interchange/plan-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { saveExercise } from "~/server/catalogue/change-catalogue";
import { searchCatalogue } from "~/server/catalogue/search-catalogue";
import { readEndpoint, writeEndpoint } from "~/server/http/endpoint";

/** The clinic's catalogue, searched by the parameters of the calculation `exercise-search`. */
export const GET = readEndpoint((staff, { url }) => searchCatalogue(staff, url.searchParams));

/** Adds or revises an exercise of the clinic's own. */
export const POST = writeEndpoint(ExerciseBody, signingRoles, saveExercise);
