import { existsSync } from "node:fs";
import { ended } from "./ended.mjs";
import { PlainFailure, say } from "./say.mjs";

/** Programs the product needs, where Debian puts them, and the packages that bring them. */
const programs = {
  mariadb: {
    what: "the MariaDB server and its client",
    files: ["/usr/sbin/mariadbd", "/usr/bin/mariadb-install-db", "/usr/bin/mariadb", "/usr/bin/mariadb-dump"],
    packages: ["mariadb-server-core", "mariadb-client"],
  },
  galera: {
    what: "Galera, which makes several MariaDB servers one cluster, and what copies one server to another",
    files: [
      "/usr/lib/galera/libgalera_smm.so",
      "/usr/bin/mariadb-backup",
      "/usr/bin/socat",
      "/usr/bin/ss",
      "/usr/bin/openssl",
    ],
    packages: ["galera-4", "mariadb-backup", "socat", "iproute2", "openssl"],
  },
  chromium: {
    what: "the Chromium browser for the browser tests",
    files: ["/usr/bin/chromium", "/usr/bin/chromium-headless-shell"],
    packages: ["chromium", "chromium-headless-shell"],
  },
};

/** Makes sure that the named programs are installed; as root it installs them by itself. */
export async function ensurePrograms(names) {
  const missing = names.map((name) => programs[name]).filter((p) => !p.files.every(existsSync));
  if (missing.length === 0) return;
  const packages = missing.flatMap((p) => p.packages);
  const command = `apt-get update && apt-get install -y --no-install-recommends ${packages.join(" ")}`;
  const what = missing.map((p) => p.what).join(" and ");
  if (process.getuid?.() !== 0) {
    throw new PlainFailure(
      `This machine lacks ${what}. Run this once, then try again:\n  sudo sh -c '${command}'`,
    );
  }
  say(`installing ${what} from Debian's packages`);
  const { status } = await ended("sh", ["-c", command], {
    stdio: ["ignore", "ignore", "inherit"],
    env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
  });
  if (status !== 0 || !missing.every((p) => p.files.every(existsSync))) {
    throw new PlainFailure(`Installing ${what} failed. Run '${command}' by hand and read what it says.`);
  }
}
