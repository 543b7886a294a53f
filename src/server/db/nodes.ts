/** Where a database server listens. */
export interface NodeAddress {
  readonly host: string;
  readonly port: number;
}

/**
 * The servers that one may ask, the one to be preferred first: the one of the URL, or those of a list for a cluster.
 *
 * @param url as of DATABASE_URL
 * @param listed as of DATABASE_NODES, "host:port" with commas between; without it the URL's own
 * @throws Error when an entry of the list is no address
 * @example nodesOf("mysql://a:b@127.0.0.1:3307/stair") // [{ host: "127.0.0.1", port: 3307 }]
 * @example nodesOf("mysql://a:b@db1/stair", "db2:3306, db1") // [{ host: "db2", port: 3306 }, { host: "db1", port: 3306 }]
 */
export function nodesOf(url: string, listed = ""): NodeAddress[] {
  const entries = listed
    .split(",")
    .map((entry) => entry.trim())
    .filter(Boolean);
  const all = entries.length > 0 ? entries : [new URL(url).host];
  return all.map((entry) => {
    const found = URL.canParse(`mysql://${entry}`) ? new URL(`mysql://${entry}`) : null;
    if (!found || found.host !== entry) throw new Error(`DATABASE_NODES: ${entry} is no host:port`);
    return { host: found.hostname.replace(/^\[|\]$/g, ""), port: Number(found.port || 3306) };
  });
}
