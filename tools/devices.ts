// `npm run devices`: stand-ins for what a clinic measures with, on this machine alone. See docs/devices.md.
import { startStandIns } from "./devices/stand-ins";

const port = Number(process.env["DEVICE_PORT"] || 4380);
const speed = Number(process.env["DEVICE_SPEED"] || 1);

try {
  const { url, stop } = await startStandIns({ port, speed });
  process.send?.({ listening: url });
  process.stdout.write(`stand-ins       ${url} (dynamometer, cuff, jump mat, luggage scale)\n`);
  const end = () => {
    stop();
    process.exit();
  };
  for (const name of ["SIGINT", "SIGTERM", "disconnect"] as const) process.once(name, end);
} catch (error) {
  const taken = (error as NodeJS.ErrnoException).code === "EADDRINUSE";
  process.stderr.write(
    taken ? `Port ${port} is taken; set DEVICE_PORT to another.\n` : `${(error as Error).stack}\n`,
  );
  process.exitCode = 1;
}
