import { readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";

/** Files worth compressing; pictures and fonts are compressed in themselves. */
const text = /\.(js|css|svg|json|html|txt|wasm)$/;
const leastBytes = 1024;

/** Lays a .br and a .gz beside every file of text, made once, so that nothing is compressed while somebody waits. */
export function compressFolder(folder) {
  for (const name of readdirSync(folder, { recursive: true })) {
    const file = path.join(folder, String(name));
    if (!text.test(file) || !statSync(file).isFile()) continue;
    const bytes = readFileSync(file);
    if (bytes.length < leastBytes) continue;
    const params = { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length };
    writeFileSync(`${file}.br`, brotliCompressSync(bytes, { params }));
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}
