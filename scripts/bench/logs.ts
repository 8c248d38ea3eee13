import { randomUUID } from 'node:crypto';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { guessLayout, LogReader, zoneClock } from '@brine/core/logs/reading';
import { judgeLog } from '@brine/core/logs/against';
import type { SettingValues } from '@brine/core/foundation/settings';
import { databaseOn } from '../../server/src/database/database.ts';
import { migrate, openOrm } from '../../server/src/database/orm.ts';
import { readLog } from '../../server/src/logs/readLog.task.ts';
import { seeded } from '../../core/testing/seeded.ts';
import { startCluster, throwAwayFolder } from '../lib/postgres.mjs';

/** A year of minutes with four columns, as a logger of a freezer would write it: cycles, defrosts, noise. With a zone its clock skips an hour in spring and has one twice in autumn. */
function yearOfMinutes(zone: string | null): string {
  const clock = zone === null ? null : zoneClock(zone)!;
  const random = seeded(365);
  const lines = ['time,air_degC,coil_degC,compressor,defrost'];
  const start = Date.UTC(2026, 0, 1);
  let air = -18.5;
  let coil = -22;
  let on = true;
  for (let m = 0; m < 365 * 1440; m += 1) {
    const defrost = m % 360 < 20;
    if (defrost) on = false;
    else if (air >= -18.5) on = true;
    else if (air <= -21) on = false;
    air += on ? -0.09 : 0.06 + 0.01 * Math.sin(m / 229);
    coil = defrost ? Math.min(13, coil + 1.8) : coil + ((on ? air - 7 : air) - coil) * 0.3;
    const noise = () => (random() - 0.5) * 0.2;
    lines.push(
      `${new Date(start + m * 60_000 + 1000 * (clock?.offsetAt(start / 1000 + m * 60) ?? 0)).toISOString().slice(0, 19)},${(air + noise()).toFixed(1)},${(coil + noise()).toFixed(1)},${Number(on)},${Number(defrost)}`,
    );
  }
  return `${lines.join('\r\n')}\r\n`;
}

const settings: SettingValues = {
  'regulation.setpoint': { value: -21, unit: 'degC' },
  'regulation.differential': { value: 2.5, unit: 'K' },
  'defrost.method': 'electric',
  'defrost.initiation': 'interval',
  'defrost.interval': { value: 6, unit: 'h' },
  'defrost.maxDuration': { value: 30, unit: 'min' },
  'defrost.endTemperature': { value: 12, unit: 'degC' },
};
/** What a browser hands on of a file at once. */
const PIECE = 64 * 1024;
const RUNS = 3;

const say = (name: string, text: string) => process.stdout.write(`${name.padEnd(44)} ${text}\n`);

/** With clock times of a zone a year is read and analysed in at most so many times what papaparse takes alone. */
const WITH_ZONE = 3;
const ZONE = 'Europe/Lisbon';

/** Reading and analysing a year of minutes whose times are a zone's, as a share of papaparse alone, in per cent. */
export function logBounds() {
  const { whole, alone } = readAndAnalysed(yearOfMinutes(ZONE), ZONE);
  return [
    {
      name: 'a year of minutes with a zone, of papaparse',
      measured: (100 * whole) / alone,
      bound: 100 * WITH_ZONE,
      unit: '%',
    },
  ];
}

/** Import and analysis of a year against papaparse alone on the same text, and its landing in PostgreSQL. */
export async function benchLogs(): Promise<void> {
  const text = yearOfMinutes(null);
  for (const zone of [null, ZONE]) {
    const { whole, alone } = readAndAnalysed(zone === null ? text : yearOfMinutes(zone), zone);
    say(
      zone === null ? 'a year of minutes read and analysed' : `the same with the zone ${zone}`,
      `${(whole / alone).toFixed(1).padStart(7)} × papaparse alone (${Math.round(whole)} and ${Math.round(alone)} ms, ${Math.round(text.length / 1e6)} MB)`,
    );
  }
  const { samples, alone } = readAndAnalysed(text, null);
  await land(text, samples, alone);
}

/** The least of some runs, ms: read and analysed, and papaparse alone on the same text. */
function readAndAnalysed(text: string, zone: string | null) {
  let [alone, whole] = [Infinity, Infinity];
  let samples = 0;
  for (let i = 0; i < RUNS; i += 1) {
    let began = performance.now();
    const { data } = Papa.parse<string[]>(text, { delimiter: ',' });
    alone = Math.min(alone, performance.now() - began);
    if (data.length < 525_000) throw new Error('papaparse read too few rows');
    began = performance.now();
    const reader = new LogReader({ ...guessLayout(text.slice(0, PIECE)).layout, zone });
    for (let at = 0; at < text.length; at += PIECE) reader.push(text.slice(at, at + PIECE));
    const { log } = reader.finish();
    samples = log.time.length;
    const { found } = judgeLog(log, settings);
    whole = Math.min(whole, performance.now() - began);
    if (found.samples !== 525_600 || found.defrosts.length !== 1460)
      throw new Error(`the year was not read: ${found.samples} rows, ${found.defrosts.length} defrosts`);
  }
  return { whole, alone, samples };
}

/** As the server takes it in: a thread reads the file and writes rows, which are copied from there. Only the copying is timed. */
async function land(text: string, rowCount: number, alone: number): Promise<void> {
  const folder = throwAwayFolder('bench');
  const [sent, rows] = [join(folder, 'sent'), join(folder, 'rows')];
  writeFileSync(sent, text);
  const { layout } = guessLayout(text.slice(0, PIECE));
  const read = await readLog({ from: sent, into: rows, id: randomUUID(), layout });
  if ('problem' in read) throw new Error(read.problem);
  const cluster = await startCluster(folder);
  try {
    const orm = await openOrm(cluster.url);
    await migrate(orm);
    const database = databaseOn(orm);
    await database.transaction((repositories) => repositories.logs.makeMonths(read.months));
    const began = performance.now();
    await database.transaction((repositories) => repositories.logs.load(rows, read.columns));
    const took = performance.now() - began;
    const [{ n }] = (await orm.em.getConnection().execute('select count(*)::int as n from log_point')) as [
      { n: number },
    ];
    if (n !== rowCount) throw new Error(`${n} rows landed`);
    say(
      'and landed in PostgreSQL by COPY',
      `${(took / alone).toFixed(1).padStart(7)} × papaparse alone (${Math.round(took)} ms, ${n} rows in 12 partitions)`,
    );
    await database.close();
  } finally {
    cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
