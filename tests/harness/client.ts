import { demoPassword, demoStaff } from "~demo/clinic";

export interface Reply {
  readonly status: number;
  readonly headers: Headers;
  // Bodies are whatever the endpoint under test answers; each test says what it expects of them.
  // oxlint-disable-next-line typescript/no-explicit-any
  readonly body: any;
}

/** Speaks to one application process as a browser would: with a cookie and an Origin. */
export class Client {
  private cookies = new Map<string, string>();

  constructor(readonly url: string) {}

  async send(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Reply> {
    const text = typeof body === "string" ? body : body === undefined ? undefined : JSON.stringify(body);
    const response = await fetch(this.url + path, {
      method,
      redirect: "manual",
      headers: {
        origin: this.url,
        ...(this.cookies.size > 0 ? { cookie: this.allCookies } : {}),
        ...(text === undefined ? {} : { "content-type": "application/json" }),
        ...headers,
      },
      ...(text === undefined ? {} : { body: text }),
    });
    for (const set of response.headers.getSetCookie()) {
      const [name = "", value = ""] = (set.split(";")[0] ?? "").split("=");
      this.cookies.set(name, value);
    }
    const answer = await response.text();
    const isJson = /json/.test(response.headers.get("content-type") ?? "");
    return { status: response.status, headers: response.headers, body: isJson ? JSON.parse(answer) : answer };
  }

  get = (path: string) => this.send("GET", path);
  post = (path: string, body: unknown) => this.send("POST", path, body);

  /** The same sign-in at another process: sessions live in the database. */
  at(url: string): Client {
    const other = new Client(url);
    other.cookies = new Map(this.cookies);
    return other;
  }

  /** The cookie of the session, for a browser. */
  get sessionCookie(): string {
    const name = [...this.cookies.keys()].find((one) => /(session|phone)$/.test(one)) ?? "";
    return name ? `${name}=${this.cookies.get(name)}` : "";
  }

  private get allCookies(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join("; ");
  }
}

/** Signs in as one of the demo's staff. */
export async function signedIn(
  url: string,
  who: (typeof demoStaff)[number]["key"] = "clinician",
): Promise<Client> {
  const client = new Client(url);
  const email = demoStaff.find((member) => member.key === who)?.email;
  const reply = await client.post("/api/sign-in", { email, password: demoPassword });
  if (reply.status !== 200) throw new Error(`sign-in failed with ${reply.status}`);
  return client;
}
