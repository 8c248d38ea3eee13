import { afterAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.ts';
import { family, root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());

interface Row {
  readonly code: string | null;
  readonly value: string | number | boolean;
  readonly status: string;
  readonly note: string;
}

function translate(from: string, sheet: string, to: string) {
  const outcome = run(['translate', '--from', from, '--sheet', sheet, '--to', to]);
  expect(outcome).toMatchObject({ stderr: '', exitCode: 0 });
  const { rows, lost } = JSON.parse(outcome.stdout) as {
    rows: Row[];
    lost: { setting: string; reason: string }[];
  };
  const row = (code: string) => {
    const found = rows.find((r) => r.code === code);
    return found && `${found.value} ${found.status}`;
  };
  return { rows, row, note: (code: string) => rows.find((r) => r.code === code)?.note, lost };
}

/** The invented families both ways: what each row says, worked out by hand from the two dialects. */
describe('the four families, both ways', () => {
  const sheets = {
    // Whole °F, stops at 38, restarts 5 above (common practice: 38 + 5 → cut-in 43).
    'marl-4':
      'hold=38 gap=5 rest=3 kind=0 evry=6 last=25 drip=0 blow=1 loud=10 cold=4 wait=30 trim=-1 lock=1',
    // Tenths of °C, the middle placed at 2.5, run from 3.5 down to 1.5.
    'skerry-dx':
      'p1=0 p2=1 t1=2.5 t2=2 t3=1 m1=180 m5=1 i1=3 i2=H i3=6 i4=1 i6=25 i7=0 a1=1 w1=9 w2=-1 w4=30 s2=-0.5 p3=1',
    // Half °C steps, cooling starts at 3 and stops 2 below; 4 h of cooling between defrosts.
    'gault-p': 'Un=C Sn=3 hY=2 Pr=3 Er=0 Cp=300 dP=30 dE=5 dr=0 HE=A Fn=Y AL=5 Ad=30 CA=-0.5',
    // Whole °C, low alarm typed as a negative number, no coil probe.
    'tarn-1': 'u=1 1=2 2=3 5=3 6=0 7=6 8=25 10=-1 11=yes 12=-4 13=6 14=30',
  };
  type Id = keyof typeof sheets;
  const cases: readonly [Id, Id, Readonly<Record<string, string>>][] = [
    // 38 stays the cut-out; 38 °F = 3.3 °C, inside. Low offset 4 becomes −4 for the family that types it so.
    [
      'marl-4',
      'tarn-1',
      {
        u: '2 exact',
        1: '38 exact',
        2: '5 exact',
        5: '3 exact',
        7: '6 exact',
        8: '25 exact',
        10: '-1 exact',
        11: 'yes exact',
        12: '-4 exact',
        13: '10 exact',
      },
    ],
    // The set point becomes the cut-in: 38 + 5 = 43. Interval 6 h from start to start less 25 of defrost: 335 min, in tens 340.
    [
      'marl-4',
      'gault-p',
      {
        Un: 'F exact',
        Sn: '43 meaning',
        hY: '5 exact',
        Pr: '3 exact',
        Cp: '340 meaning',
        HE: 'A exact',
        Fn: 'Y exact',
        CA: '-1 exact',
      },
    ],
    // Alarms in degrees: 38 + 10 and 38 − 4. 3 min are 180 s.
    [
      'marl-4',
      'skerry-dx',
      {
        p1: '1 exact',
        t1: '38 exact',
        t2: '5 exact',
        t3: '0 exact',
        m1: '180 exact',
        i1: '3 exact',
        i2: 'H exact',
        w1: '48 meaning',
        w2: '34 meaning',
        s2: '-1 exact',
      },
    ],
    // Cut-out 1.5 °C = 34.7 °F, 35; 2 K = 3.6 °F, 4. Alarms count from 34.7, unrounded: 48.2 − 34.7 = 13.5, 14; 34.7 − 30.2 = 4.5, 5.
    [
      'skerry-dx',
      'marl-4',
      {
        hold: '35 meaning',
        gap: '4 rounded',
        rest: '3 exact',
        kind: '0 exact',
        evry: '6 exact',
        blow: '1 exact',
        loud: '14 meaning',
        cold: '5 meaning',
        trim: '-1 rounded',
      },
    ],
    // Cut-in 3.5; the one number for both alarms holds the high one, 9 − 3.5 = 5.5.
    [
      'skerry-dx',
      'gault-p',
      { Un: 'C exact', Sn: '3.5 meaning', hY: '2 exact', AL: '5.5 meaning', CA: '-0.5 exact' },
    ],
    // Cut-out 1.5, whole degrees, half away from zero: 2.
    [
      'skerry-dx',
      'tarn-1',
      {
        u: '1 exact',
        1: '2 meaning',
        2: '2 exact',
        7: '6 exact',
        8: '25 exact',
        10: '-1 rounded',
        11: 'yes exact',
      },
    ],
    // Stops at 1 °C = 33.8 °F, 34; 2 K = 3.6 °F, 4; 300 + 30 min = 5.5 h, 6; 5 °C = 41 °F exactly; offsets 5 K = 9 °F exactly.
    [
      'gault-p',
      'marl-4',
      {
        hold: '34 meaning',
        gap: '4 rounded',
        evry: '6 meaning',
        melt: '41 exact',
        loud: '9 exact',
        cold: '9 exact',
        trim: '-1 rounded',
      },
    ],
    // Cut-out 1; alarms in degrees count from the old set point 3: 8 and −2; 5.5 h fit its half hours.
    [
      'gault-p',
      'skerry-dx',
      {
        p1: '0 exact',
        t1: '1 meaning',
        t2: '2 exact',
        t3: '0 meaning',
        i2: 'H meaning',
        i3: '5.5 meaning',
        w1: '8 meaning',
        w2: '-2 meaning',
      },
    ],
    // No coil probe: off-cycle by time; the end temperature is lost.
    [
      'gault-p',
      'tarn-1',
      { 1: '1 meaning', 2: '2 exact', 7: '6 meaning', 8: '30 exact', 12: '-5 exact', 13: '5 exact' },
    ],
    // 2 °C = 35.6 °F, 36; 3 K = 5.4 °F, 5; 6 K = 10.8 °F, 11; 4 K = 7.2 °F, 7.
    [
      'tarn-1',
      'marl-4',
      {
        hold: '36 rounded',
        gap: '5 rounded',
        loud: '11 rounded',
        cold: '7 rounded',
        wait: '30 exact',
        lock: '1 exact',
      },
    ],
    [
      'tarn-1',
      'skerry-dx',
      {
        p1: '0 exact',
        p2: '0 exact',
        t1: '2 exact',
        t2: '3 exact',
        w1: '8 meaning',
        w2: '-2 meaning',
        i4: '1 exact',
        s4: '0 exact',
      },
    ],
    // Restarts at 5; 6 h less 25 min, 335 → 340; one number for both offsets, 6 and 4: the first wins.
    [
      'tarn-1',
      'gault-p',
      { Un: 'C exact', Sn: '5 meaning', hY: '3 exact', Cp: '340 meaning', AL: '6 meaning' },
    ],
  ];

  test.each(cases)('%s → %s', (from, to, rows) => {
    const result = translate(family(from), scratch.sheet(sheets[from]), family(to));
    for (const [code, expected] of Object.entries(rows))
      expect(`${code}: ${result.row(code)}`).toBe(`${code}: ${expected}`);
  });

  test('every directed pair of two different families is there', () => {
    expect(new Set(cases.map(([from, to]) => `${from} ${to}`)).size).toBe(4 * 3);
  });

  test('what the one without a coil probe loses is said', () => {
    const lost = translate(family('gault-p'), scratch.sheet(sheets['gault-p']), family('tarn-1')).lost;
    expect(lost.map((l) => l.setting)).toEqual(
      expect.arrayContaining(['defrost.endTemperature', 'defrost.termination', 'probes.coilPresent']),
    );
    for (const { reason } of lost) expect(reason).not.toBe('');
  });
});

describe('degrees', () => {
  /** The decimal family as one that can show nothing but °C. */
  const celsiusOnly = (decimal: boolean, placement?: string) =>
    scratch.variant('skerry-dx', (d) => {
      d.id = `celsius-${decimal}-${placement ?? 'any'}`;
      d.parameters = d.parameters.filter((p) => !['p1', 'p2', ...(placement ? ['t3'] : [])].includes(p.code));
      Object.assign(d.fixed, { 'display.unit': 'celsius', 'display.decimal': decimal });
      if (placement) d.fixed['regulation.differentialPlacement'] = placement;
    });

  test('−9.4 °F is −23.0 °C and a 2 °F difference is 1.11 K (closed form: (F − 32)·5/9, ΔF·5/9)', () => {
    const sheet = scratch.sheet('p1=1 p2=1 t1=-9.4 t2=2 t3=0');
    const { row, note } = translate(family('skerry-dx'), sheet, celsiusOnly(true));
    expect(row('t1')).toBe('-23 exact');
    expect(row('t2')).toBe('1.1 rounded');
    expect(note('t2')).toContain('1.11');
  });

  test('nothing is rounded on the way: 37 °F and half of 5 °F are 4.17 °C, 4 and not 5', () => {
    // Rounded at every step it would be 3 °C + 3 K / 2 = 4.5, 5.
    const { row } = translate(
      family('marl-4'),
      scratch.sheet('hold=37 gap=5'),
      celsiusOnly(false, 'setpointIsMiddle'),
    );
    expect(row('t1')).toBe('4 meaning');
  });
});

test('the example of the format: rows, statuses and losses as it states them', () => {
  const folder = join(root, 'docs/formats/examples/translate');
  const expected = JSON.parse(readFileSync(join(folder, 'expected.json'), 'utf8')) as {
    rows: { code: string; value: unknown; status: string }[];
    lost: string[];
    notLost: string[];
  };
  const { rows, lost } = translate(
    join(folder, 'from.controller.json'),
    join(folder, 'from.sheet.csv'),
    join(folder, 'to.controller.json'),
  );
  expect(
    rows.filter((r) => r.code !== null).map(({ code, value, status }) => ({ code, value, status })),
  ).toEqual(expected.rows.map(({ code, value, status }) => ({ code, value, status })));
  const names = lost.map((l) => l.setting);
  expect(names).toEqual(expect.arrayContaining(expected.lost));
  for (const setting of expected.notLost) expect(names).not.toContain(setting);
});

test('--csv has the same rows', () => {
  const argv = [
    'translate',
    '--from',
    family('tarn-1'),
    '--sheet',
    scratch.sheet('u=1 1=2'),
    '--to',
    family('marl-4'),
  ];
  const lines = run([...argv, '--csv'])
    .stdout.trimEnd()
    .split(/\r?\n/);
  const { rows } = JSON.parse(run(argv).stdout) as { rows: Row[] };
  expect(lines[0]).toBe('code,value,setting,status,note');
  expect(lines).toHaveLength(rows.length + 1);
  expect(lines[1]).toMatch(/^hold,36,regulation\.setpoint,rounded,/);
});
