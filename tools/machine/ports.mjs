import net from "node:net";

/** A loopback port that is free now; `preferred` is taken when nobody listens on it. */
export async function freePort(preferred = 0) {
  try {
    return await probe(preferred);
  } catch (error) {
    if (preferred === 0) throw error;
    return probe(0);
  }
}

function probe(port) {
  return new Promise((resolve, reject) => {
    const server = net.createServer();
    server.once("error", reject);
    server.listen(port, "127.0.0.1", () => {
      const { port: taken } = server.address();
      server.close(() => resolve(taken));
    });
  });
}
