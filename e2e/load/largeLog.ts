import { closeSync, openSync, statSync, writeSync } from 'node:fs';

/** Writes a logger's file of at least so many bytes: a row every ten seconds, as fast loggers do. Returns its first lines. */
export function writeLargeLog(path: string, bytes: number): string {
  const file = openSync(path, 'w');
  const head = 'time,air_degC,coil_degC,product_degC,ambient_degC,compressor,defrost,door';
  writeSync(file, `${head}\n`);
  const start = Date.UTC(2025, 0, 1) / 1000;
  let first = head;
  let text = '';
  for (let i = 0; ; i += 1) {
    const at = new Date((start + 10 * i) * 1000).toISOString().slice(0, 19);
    const wave = Math.sin(i / 90);
    text += `${at},${(2 + wave).toFixed(2)},${(-6 + 3 * wave).toFixed(2)},${(3 + wave / 9).toFixed(2)},${(24 + wave).toFixed(2)},${wave > 0 ? 1 : 0},${i % 2160 < 120 ? 1 : 0},${i % 700 < 3 ? 1 : 0}\n`;
    if (i % 20_000 !== 19_999) continue;
    if (first === head) first += `\n${text.slice(0, 4000)}`;
    writeSync(file, text);
    text = '';
    if (statSync(path).size >= bytes) break;
  }
  closeSync(file);
  return first;
}
