import { readLibrary } from "~/server/catalogue/read-library";
import { readEndpoint } from "~/server/http/endpoint";

/** The clinic's catalogue by exercise, searched by the parameters of `exercise-search` and `activity`. */
export const GET = readEndpoint((staff, { url }) => readLibrary(staff, url.searchParams));
