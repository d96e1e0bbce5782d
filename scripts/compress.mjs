// The application's files, compressed once when it is built and not again for each who asks.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const dist = fileURLToPath(new URL('../app/dist/', import.meta.url));
const WORTH = 1024;
/** Of brotli's eleven the last two take ten times as long for a hundredth. */
const QUALITY = 9;

let [from, to] = [0, 0];
for (const name of readdirSync(dist, { recursive: true, encoding: 'utf8' })) {
  const file = join(dist, name);
  if (!/\.(js|css|html|svg|json|webmanifest)$/.test(name) || statSync(file).size < WORTH) continue;
  const whole = readFileSync(file);
  const small = brotliCompressSync(whole, { params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY } });
  writeFileSync(`${file}.br`, small);
  writeFileSync(`${file}.gz`, gzipSync(whole, { level: 9 }));
  [from, to] = [from + whole.length, to + small.length];
}
console.log(`compressed: ${(from / 1e6).toFixed(1)} MB to ${(to / 1e6).toFixed(1)} MB`);
