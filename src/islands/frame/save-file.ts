/** Hands a file to whoever sits there, under a name. */
export function saveFile(file: Blob, name: string): void {
  const address = URL.createObjectURL(file);
  const link = Object.assign(document.createElement("a"), { href: address, download: name });
  link.click();
  URL.revokeObjectURL(address);
}
