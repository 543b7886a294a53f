const usual = "ws://127.0.0.1:4380";
const local = /^ws:\/\/(127\.0\.0\.1|localhost|\[::1\]):\d{1,5}$/;

/**
 * Where devices answer on the machine of whoever measures: a local connection, never another machine.
 *
 * @throws Error when DEVICE_URL is no such address
 */
export function deviceAddress(): string {
  const address = process.env["DEVICE_URL"] ?? usual;
  if (!local.test(address)) throw new Error(`DEVICE_URL must look like ${usual}; it is ${address}`);
  return address;
}
