import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import path from "node:path";
import { PlainFailure } from "./say.mjs";

/**
 * A certificate by which the servers of a trial know one another and seal what they say, with its key: made once for a folder, readable
 * by its owner alone, and its own authority, so that nobody else's is taken.
 */
export function certificateBetween(folder) {
  const [certificate, key] = [path.join(folder, "between.crt"), path.join(folder, "between.key")];
  if (existsSync(certificate) && existsSync(key)) return { certificate, key };
  const made = spawnSync(
    "openssl",
    [
      ...["req", "-x509", "-newkey", "ec", "-pkeyopt", "ec_paramgen_curve:prime256v1", "-nodes"],
      ...["-subj", "/CN=patient-stair", "-days", "3650", "-keyout", key, "-out", certificate],
    ],
    { encoding: "utf8" },
  );
  if (made.status !== 0)
    throw new PlainFailure(
      `The servers' certificate could not be made: ${made.stderr ?? made.error?.message}`,
    );
  return { certificate, key };
}
