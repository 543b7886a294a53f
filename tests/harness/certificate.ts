import { writeFileSync } from "node:fs";
import path from "node:path";
import { generate } from "selfsigned";

/** A certificate for a name on this machine, signed by itself, and its key, as files. */
export async function makeCertificate(folder: string, name: string): Promise<{ cert: string; key: string }> {
  const made = await generate([{ name: "commonName", value: name }], {
    keyType: "ec",
    algorithm: "sha256",
    extensions: [{ name: "subjectAltName", altNames: [{ type: 2, value: name }] }],
  });
  const cert = path.join(folder, `${name}.crt`);
  const key = path.join(folder, `${name}.key`);
  writeFileSync(cert, made.cert);
  writeFileSync(key, made.private, { mode: 0o600 });
  return { cert, key };
}
