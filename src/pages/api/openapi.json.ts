import { openEndpoint } from "~/server/http/endpoint";
import { openApi } from "~/server/http/openapi";

export const GET = openEndpoint(async () => openApi());
