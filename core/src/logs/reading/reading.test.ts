import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isFileProblem } from '../../foundation/files/index.ts';
import { seeded } from '../../../testing/seeded.ts';
import { guessLayout } from './guessLayout.ts';
import { LogReader } from './LogReader.ts';
import { readWholeLog } from './read.ts';
import type { Log } from './log.ts';
import type { LogLayout } from './layout.ts';
import { plainNumber } from './plainCells.ts';
import { readTime, writtenTime } from './readTime.ts';

function read(text: string, change: (layout: LogLayout) => LogLayout = (l) => l) {
  const result = readWholeLog(text, change(guessLayout(text).layout));
  if (isFileProblem(result)) throw new Error(`${result.field}: ${result.message}`);
  return result;
}
const start = Date.UTC(2026, 3, 14, 16, 0) / 1000;
const times = (log: Log) => [...log.time].map((t) => t - start);
const airOf = (log: Log) => [...log.values.air!].map((t) => Math.round(t * 10) / 10);

describe('the layouts that loggers write', () => {
  // Each says the same: 16:00 2.5 °C, 16:05 −0.5 °C, 16:10 3.0 °C on 14 April 2026.
  test.each([
    [
      'open format',
      'time,air_degC\n2026-04-14T16:00:00,2.5\n2026-04-14T16:05:00,-0.5\n2026-04-14T16:10:00,3.0\n',
    ],
    [
      'CRLF and BOM',
      '\uFEFFtime,air_degC\r\n2026-04-14 16:00,2.5\r\n2026-04-14 16:05,-0.5\r\n2026-04-14 16:10,3\r\n',
    ],
    [
      'semicolons, decimal commas, day first',
      'Datum;Air °C\n14.04.2026 16:00;2,5\n14.04.2026 16:05;-0,5\n14.04.2026 16:10;3,0\n',
    ],
    [
      'tabs, month first, pm',
      'Date/Time\tTemperature (°C)\n4/14/2026 4:00 PM\t2.5\n4/14/2026 4:05 PM\t-0.5\n4/14/2026 4:10 PM\t3\n',
    ],
    ['°F', 'Time,Room temp (°F)\n2026-04-14 16:00,36.5\n2026-04-14 16:05,31.1\n2026-04-14 16:10,37.4\n'],
    [
      'date and clock apart, a title above',
      'Logger 7 of the fish hall\nBattery good\n\nNo.;Date;Time;Cabinet [C]\n1;14/04/26;16:00:00;2,5\n2;14/04/26;16:05:00;-0,5\n3;14/04/26;16:10:00;3,0\n',
    ],
    [
      'quoted, names of months',
      '"Time","Air, °C"\n"14-Apr-26 16:00","2.5"\n"14-Apr-26 16:05","-0.5"\n"14-Apr-26 16:10","3.0"\n',
    ],
    [
      'units in the cells, true minus',
      'time,air C\n2026-04-14 16:00,2.5 °C\n2026-04-14 16:05,−0.5 °C\n2026-04-14 16:10,3.0 °C\n',
    ],
    [
      'offsets in the time',
      'time,air_degC\n2026-04-14T18:00:00+02:00,2.5\n2026-04-14T16:05:00Z,-0.5\n2026-04-14T12:10:00-0400,3.0\n',
    ],
    [
      'days of a spreadsheet',
      'stamp time,air_degC\n46126.6666667,2.5\n46126.6701389,-0.5\n46126.6736111,3.0\n',
    ],
    ['no header', '2026-04-14 16:00,2.5\n2026-04-14 16:05,-0.5\n2026-04-14 16:10,3.0\n'],
  ])('%s', (name, text) => {
    const { log } = read(text, (l) =>
      name === 'no header' ? { ...l, columns: [l.columns[0]!, { ...l.columns[1]!, role: 'air' }] } : l,
    );
    expect(times(log)).toEqual([0, 300, 600]);
    expect(airOf(log)).toEqual([2.5, -0.5, 3]);
  });

  test('columns are found by their names, once each, and what is doubtful is said', () => {
    const { layout, doubts } = guessLayout(
      'Time;Return air °C;Evaporator fins °C;Compressor;Defrost;Door;Fan speed %;RH %;Probe 4\n' +
        '13/04/2026 10:00;2,1;-6,0;1;0;0;80;71;38\n13/04/2026 10:01;2,0;-6,2;1;0;0;80;71;38\n',
    );
    expect(layout.columns.map((c) => c.role)).toEqual([
      'time',
      'air',
      'coil',
      'compressor',
      'defrost',
      'door',
      'fanPercent',
      'humidity',
      'product',
    ]);
    expect([layout.delimiter, layout.decimal, layout.order]).toEqual([';', ',', 'dmy']);
    expect(doubts.join(' ')).toContain('does not say its degrees: °F is assumed');
  });

  test('day and month that cannot be told apart are a doubt; over a midnight the part that moves is the day', () => {
    expect(guessLayout('time,air_degC\n04/05/2026 10:00,2\n04/05/2026 10:01,2\n').doubts.join()).toContain(
      'Day and month',
    );
    expect(guessLayout('time,air_degC\n04/05/2026 23:59,2\n04/06/2026 00:01,2\n').layout.order).toBe('mdy');
    expect(guessLayout('time,air_degC\n04/05/2026 23:59,2\n05/05/2026 00:01,2\n').layout.order).toBe('dmy');
  });
});

describe('what is put right, and said', () => {
  test('rows out of order, twice, unreadable, with failed probes', () => {
    const { log, tidied } = read(
      'time,air_degC\n2026-04-14 16:10,3.0\n2026-04-14 16:00,2.5\n2026-04-14 16:05,open\n2026-04-14 16:05,-0.5\nEnd of log,\n',
    );
    expect(times(log)).toEqual([0, 300, 600]);
    expect(airOf(log)).toEqual([2.5, -0.5, 3]);
    expect(tidied).toMatchObject({
      duplicates: 1,
      unsorted: 1,
      unreadable: 1,
      problems: [{ line: 6, why: expect.stringContaining('End of log') }],
    });
  });

  // Clocks in Lisbon went back from 02:00 to 01:00 on Sunday 25 October 2026 and forward from 01:00 to 02:00 on 29 March 2026 (tz database).
  test('the repeated hour at the end of summer time goes by the order of the file, with a zone and without', () => {
    const text =
      'time,air_degC\n2026-10-25 01:30,1\n2026-10-25 01:45,2\n2026-10-25 01:00,3\n2026-10-25 01:15,4\n2026-10-25 02:00,5\n';
    for (const zone of [null, 'Europe/Lisbon']) {
      const { log, tidied } = read(text, (l) => ({ ...l, zone }));
      expect([...log.values.air!]).toEqual([1, 2, 3, 4, 5]);
      expect([...log.time].map((t) => (t - log.time[0]!) / 60)).toEqual([0, 15, 30, 45, 90]);
      expect(tidied.unsorted).toBe(0);
    }
  });

  test('the skipped hour is no gap where the zone is known', () => {
    const text =
      'time,air_degC\n2026-03-29 00:30,1\n2026-03-29 00:45,2\n2026-03-29 02:00,3\n2026-03-29 02:15,4\n';
    const { log } = read(text, (l) => ({ ...l, zone: 'Europe/Lisbon' }));
    expect([...log.time].map((t) => (t - log.time[0]!) / 60)).toEqual([0, 15, 30, 45]);
  });

  test.each([
    ['', 'empty'],
    ['a,b\n1,2\n', 'no column holds'],
    ['time,name\n2026-04-14 16:00,x\n', 'no column holds a reading'],
    ['\u0000\u0001binary', 'not a text file'],
  ])('%j is refused with a sentence', (text, part) => {
    const result = readWholeLog(text);
    expect(isFileProblem(result) && result.message).toContain(part);
  });
});

describe('piece by piece', () => {
  test('however the text is cut, the same log comes out (property)', () => {
    const random = seeded(6);
    const rows = Array.from(
      { length: 200 },
      (_, i) =>
        `"2026-04-14 ${String(8 + Math.floor(i / 60)).padStart(2, '0')}:${String(i % 60).padStart(2, '0')}",${(random() * 9 - 3).toFixed(1)},${i % 7 === 0 ? '' : Math.round(random())}`,
    );
    const text = `\uFEFFtime,"air_degC",compressor\r\n${rows.join('\r\n')}\r\n`;
    const { layout } = guessLayout(text);
    const whole = read(text).log;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 3, maxLength: 40 }), (cuts) => {
        const reader = new LogReader(layout);
        let at = 0;
        for (const cut of cuts) {
          reader.push(text.slice(at, at + cut));
          at += cut;
        }
        reader.push(text.slice(at));
        const { log, tidied } = reader.finish();
        expect(tidied.unreadable).toBe(0);
        expect([...log.time]).toEqual([...whole.time]);
        expect([...log.values.air!]).toEqual([...whole.values.air!]);
      }),
      { seed: 6, numRuns: 60 },
    );
  });

  // Oracle: Number.
  test('a plain number read in place is the number that Number gives (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -99_999_999, max: 99_999_999 }),
        fc.integer({ min: 0, max: 6 }),
        (n, places) => {
          const text = (n / 10 ** places).toFixed(places);
          expect(plainNumber(`x${text};`, 1, text.length + 1, 46)).toBe(Number(text));
          expect(plainNumber(text.replace('.', ','), 0, text.length, 44)).toBe(Number(text));
        },
      ),
      { seed: 6, numRuns: 400 },
    );
    for (const odd of ['', '-', '1e5', ' 1', '1.2.3', 'open', '12345678901234567'])
      expect(plainNumber(odd, 0, odd.length, 46)).toBeNaN();
  });

  test('lines that end with a lone CR are read too', () => {
    const text = 'time,air_degC\r2026-04-14T16:00:00,2.5\r2026-04-14T16:05:00,3.5\r';
    expect(airOf(read(text).log)).toEqual([2.5, 3.5]);
  });

  // Oracle: Date.UTC.
  test('times of every order are those of the calendar (property)', () => {
    const out = writtenTime();
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4_000_000_000 }), (seconds) => {
        const iso = new Date(seconds * 1000).toISOString();
        const [y, m, d] = [iso.slice(0, 4), iso.slice(5, 7), iso.slice(8, 10)];
        const clock = iso.slice(11, 19);
        for (const [order, text] of [
          ['ymd', `${y}-${m}-${d}T${clock}.250`],
          ['dmy', `${d}.${m}.${y} ${clock}`],
          ['mdy', `${m}/${d}/${y} ${clock}`],
        ] as const) {
          expect(readTime(text, order, out)).toBe(true);
          expect(out.seconds).toBe(seconds);
        }
      }),
      { seed: 6, numRuns: 300 },
    );
    expect(readTime('31.02.2026 10:00', 'dmy', out)).toBe(false);
    expect(readTime('2026-04-14 12:05 am', 'ymd', out) && out.seconds % 86400).toBe(300);
  });
});
