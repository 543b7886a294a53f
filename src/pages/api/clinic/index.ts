import * as wire from "~/contract/trust";
import { readClinic, setClinic } from "~/server/clinic/clinic-settings";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readClinic, ({ staff }) => readClinic(staff));

export const POST = serve(wire.setClinic, ({ staff, body }) => setClinic(staff, body));
