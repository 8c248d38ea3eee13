import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { check } from '../checks/index.ts';
import type { Sides } from '../../foundation/unit/index.ts';
import { leaveBehindSheet } from '../../record/handover/index.ts';
import { inUnitOf } from '../../record/inUnit/index.ts';
import { factsOf, frostLooksOf, humidityOf, programOf, type Program } from '../../record/job/index.ts';
import { fold, type JobState } from '../../record/fold/index.ts';
import type { EntryBody } from '../../record/entries/index.ts';
import { validateSet, type SettingValues } from '../../foundation/settings/index.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family } from '../../../testing/families.ts';
import { tools, toolsFor, type ToolId } from './tools.ts';
import type { ToolInput, ToolReport } from './report.ts';

interface DemoJob {
  readonly key: string;
  readonly title: string;
  readonly entries: readonly (EntryBody & { readonly controller?: string; readonly role?: string })[];
}
const { company, jobs } = JSON.parse(
  readFileSync(new URL('../../../../demo/saltmarsh.json', import.meta.url), 'utf8'),
) as { company: { schools: Sides }; jobs: readonly DemoJob[] };

interface Opened {
  readonly input: ToolInput;
  readonly own: readonly ToolId[];
  readonly program: Program;
  readonly state: JobState;
}
/** A job of the demo as the page has it open, on a morning after it was taken in. */
const known = new Map<string, Opened>();
function opened(key: string): Opened {
  const before = known.get(key);
  if (before) return before;
  const fresh = open(key);
  known.set(key, fresh);
  return fresh;
}

function open(key: string): Opened {
  const job = jobs.find((j) => j.key === key)!;
  const controllerOf = (role: string) =>
    job.entries.findLast((e) => e.kind === 'control' && e.role === role)?.controller;
  const [old, replacement] = [controllerOf('old'), controllerOf('new')];
  const state = fold(acceptedInOrder(job.entries.filter((e) => e.kind !== 'control')));
  const definition = replacement ? family(replacement) : null;
  const program = programOf({
    state,
    name: job.title,
    old: old ? family(old) : null,
    replacement: definition,
    companyDefaults: company.schools,
  });
  const unit = program.unit!;
  const found = program.found && program.found.codes.size > 0 ? program.found.values : null;
  return {
    program,
    state,
    own: toolsFor({ unit, values: program.inForce, definition }),
    input: {
      unit,
      values: program.inForce,
      found,
      facts: factsOf(state, program.unit),
      display: 'degC',
      definition,
      humidity: humidityOf(state),
      frost: frostLooksOf(state),
      now: '2026-11-23T10:00:00.000Z',
    },
  };
}

/** Reports of inputs nobody changed are worked out once. */
const told = new WeakMap<ToolInput, Map<ToolId, ToolReport>>();
function reported(tool: ToolId, input: ToolInput): ToolReport {
  const before = told.get(input)?.get(tool);
  if (before) return before;
  const report = tools[tool].work(input, () => true);
  if (report === null || typeof report === 'string') throw new Error(String(report));
  told.set(input, (told.get(input) ?? new Map<ToolId, ToolReport>()).set(tool, report));
  return report;
}
const tableOf = (report: ToolReport, id: string) => report.tables.find((t) => t.id === id)!;
const number = (cell: string | undefined) => Number(cell?.replace('−', '-').match(/-?[\d.]+/)?.[0]);

const kinds: readonly (readonly [string, ToolId])[] = [
  ['market-van', 'road'],
  ['cellar', 'humidity'],
  ['bread', 'frost'],
  ['dough', 'stages'],
  ['boat', 'battery'],
  ['tank', 'water'],
  ['tank', 'stages'],
  ['ferry', 'glass'],
  ['ferry', 'periods'],
  ['flowers', 'presets'],
  ['creamery', 'rack'],
  ['milk-heater', 'heatMeter'],
  ['pharmacy', 'pharmacy'],
];

describe('every demo job of a kind has its tool, and the tool an answer', () => {
  test.each(kinds)('%s: %s', (key, tool) => {
    const { input, own } = opened(key);
    expect(own).toContain(tool);
    const report = reported(tool, input);
    expect(report.answer.length).toBeGreaterThan(20);
    for (const table of report.tables) {
      expect(new Set(table.rows.map((r) => r.id)).size).toBe(table.rows.length);
      for (const row of table.rows) {
        expect(row.cells).toHaveLength(table.heads.length);
        expect(row.cells.join(' ')).not.toMatch(/NaN|undefined|Infinity/);
        expect(row.best && row.off && row.values).toBeFalsy();
        if (row.values) {
          expect(validateSet({ ...input.values, ...row.values })).toEqual([]);
          expect(row.why).toBeTruthy();
        }
      }
    }
  });
  test('every demo job with a new control comes to a sheet, and those handed over have every code settled', () => {
    for (const job of jobs) {
      const control = job.entries.findLast((e) => e.kind === 'control' && e.role === 'new')?.controller;
      if (!control || !job.entries.some((e) => e.kind === 'answer')) continue;
      const { program } = opened(job.key);
      const sheet = leaveBehindSheet({
        unit: job.title,
        site: '',
        company: '',
        control: family(control),
        controlVersion: '1',
        plate: [],
        by: '',
        date: '2026-11-26',
        watch: '',
        program,
        inUnit: inUnitOf(opened(job.key).state, program, family(control), { old: null, replacement: null }),
      });
      expect([job.key, sheet.groups.length > 0]).toEqual([job.key, true]);
      if (job.entries.some((e) => e.kind === 'handedOver')) {
        expect([job.key, program.rows.filter((row) => row.state === 'open')]).toEqual([job.key, []]);
        expect([job.key, program.findings.filter((f) => f.severity === 'error')]).toEqual([job.key, []]);
      }
    }
  });
  test('a job without such a kind has none of them, and stopping stops', () => {
    expect(opened('fish').own).toEqual([]);
    expect(tools.battery.work(opened('boat').input, () => false)).toBeNull();
  });
});

describe('what the tools say holds', () => {
  test('12 V fridge: better insulation draws less, a warmer set point draws less, the battery lasts by the closed form', () => {
    const { input } = opened('boat');
    const rows = tableOf(reported('battery', input), 'battery').rows;
    const ah = (name: string) => number(rows.find((r) => r.cells[0]!.startsWith(name))?.cells[1]);
    expect(ah('Insulation half')).toBeLessThan(ah('In the unit'));
    expect(ah('Insulation wet')).toBeGreaterThan(ah('In the unit'));
    expect(ah('Set point 4')).toBeLessThan(ah('Set point 0'));
    const [now] = rows;
    expect(number(now!.cells[2])).toBeCloseTo((110 * 0.5) / (number(now!.cells[1]) - 6), 0);
  });
  test('demand: the sensor left where less frost is leaves more ice and defrosts less often; the best leaves none', () => {
    const { input } = opened('bread');
    const { rows } = tableOf(reported('frost', input), 'demand');
    const left = rows.filter((r) => /sensor left/.test(r.id));
    expect(left.length).toBeGreaterThan(0);
    for (const row of left) {
      const right = rows.find((r) => row.id.startsWith(`${r.id},`))!;
      expect(number(row.cells[1])).toBeLessThan(number(right.cells[1]));
      expect(row.values).toBeUndefined();
    }
    expect(rows.find((r) => r.best)!.cells[2]).toBe('none');
  });
  test('merchandiser: dry air keeps the glass dry, damp air does not', () => {
    const { input } = opened('ferry');
    const at = (roomHumidity: number) =>
      reported('glass', { ...input, facts: { ...input.facts, roomHumidity } }).answer;
    expect(at(35)).toMatch(/stays dry/);
    expect(at(85)).toMatch(/sweats/);
  });
  test('sea-water tank: a small cold surface ices, and says from where on it does not', () => {
    const { input } = opened('tank');
    const iced = reported('water', {
      ...input,
      facts: { ...input.facts, chillerArea: 0.15, chillerWatts: 1500 },
    });
    expect(iced.answer).toMatch(/Ice at the chiller/);
    expect(reported('water', input).answer).toMatch(/No ice/);
  });
  test('two stages: as found they fight, the dead band advised never turns over', () => {
    const { input } = opened('dough');
    expect(reported('stages', input).answer).not.toMatch(/fight/);
    const asFound: SettingValues = { ...input.values, 'stage2.offset': { value: 2, unit: 'K' } };
    const report = reported('stages', { ...input, values: asFound });
    expect(report.answer).toMatch(/fight/);
    const best = tableOf(report, 'dead-bands').rows.find((r) => r.best)!;
    expect(best.cells[2]).toBe('never');
    // What the job left is one of those that never turn over.
    const left = tableOf(report, 'dead-bands').rows.find(
      (r) => JSON.stringify(r.values!['stage2.offset']) === JSON.stringify(input.values['stage2.offset']),
    )!;
    expect(left.cells[2]).toBe('never');
  });
  test('rack: no rest of its own (common practice), and a rest only warms the box', () => {
    const { input } = opened('creamery');
    expect(input.values['compressor.minOffTime']).toMatchObject({ value: 0 });
    // Nothing says a rest is missing, since the valve protects no compressor; on a compressor it does.
    const rests = (unit: ToolInput['unit']) =>
      check(input.values, unit).filter((f) => f.settings.includes('compressor.minOffTime'));
    expect(rests(input.unit)).toEqual([]);
    expect(rests({ ...input.unit, compressor: 'direct' }).map((f) => f.code)).toContain('noRest');
    const { rows } = tableOf(reported('rack', input), 'rests');
    expect(rows[0]).toMatchObject({ id: '0', best: true });
    expect(number(rows.at(-1)!.cells[3])).toBeGreaterThanOrEqual(number(rows[0]!.cells[3]));
  });
  test('pharmacy: a longer delay never nags more and never calls sooner', () => {
    const { input } = opened('pharmacy');
    const { rows } = tableOf(reported('pharmacy', input), 'delays');
    const nags = rows.map((r) => (r.cells[1] === 'none' ? 0 : number(r.cells[1])));
    const called = rows.map((r) => number(r.cells[2]));
    for (let i = 1; i < rows.length; i += 1) {
      expect(nags[i]!).toBeLessThanOrEqual(nags[i - 1]!);
      expect(called[i]!).toBeGreaterThanOrEqual(called[i - 1]!);
    }
  });
  test.each([
    ['pharmacy', 'pharmacy'],
    ['cellar', 'humidity'],
  ] as const)('%s: a larger bottle reads a narrower course, and makes the air swing no less', (key, tool) => {
    const { rows } = tableOf(reported(tool, opened(key).input), 'buffers');
    const ends = (cell: string | undefined) =>
      [...(cell ?? '').replaceAll('−', '-').matchAll(/-?[\d.]+/g)].map((m) => Number(m[0]));
    const width = (cell: string | undefined) => ends(cell)[1]! - ends(cell)[0]!;
    const reads = rows.map((r) => width(r.cells[2]));
    expect(reads).toEqual(reads.toSorted((a, b) => b - a));
    expect(reads.at(-1)!).toBeLessThan(0.8 * reads[0]!);
    expect(width(rows.at(-1)!.cells[4])).toBeGreaterThanOrEqual(width(rows[0]!.cells[4]) - 0.2);
  });
  test('cellar: one step at most is offered, and only with a reading that decides it', () => {
    const { input } = opened('cellar');
    const offered = (i: ToolInput) =>
      tableOf(reported('humidity', i), 'run-on')
        .rows.filter((r) => r.values)
        .map((r) => r.id);
    expect(offered(input)).toEqual(['10']);
    expect(offered({ ...input, now: '2026-11-30T10:00:00.000Z' })).toEqual([]);
    expect(offered({ ...input, humidity: { readings: [], steps: [] } })).toEqual([]);
  });
  test('heat meter: a slipped point is seen in the heat, the right tags change it little', () => {
    const { rows } = tableOf(reported('heatMeter', opened('milk-heater').input), 'heat');
    const kw = (id: string) => number(rows.find((r) => r.id === id)!.cells[4]);
    expect(Math.abs(kw('after') / kw('before') - 1)).toBeLessThan(0.05);
    expect(Math.abs(kw('slip-return') / kw('after') - 1)).toBeGreaterThan(0.1);
    // Where the sensors of a pair belong: EN 1434-2, and common practice.
    expect(reported('heatMeter', opened('milk-heater').input).words.join(' ')).toMatch(
      /pocket of its own pipe.*shares the pipe with the flow meter/,
    );
  });
  test('transport: start-stop runs the engine less and lets the air stand; continuous runs from its start to the end', () => {
    const { rows } = tableOf(reported('road', opened('market-van').input), 'modes');
    expect(number(rows[0]!.cells[1])).toBeCloseTo(10, 1);
    expect(number(rows[1]!.cells[1])).toBeLessThan(9);
    expect(number(rows[1]!.cells[2])).toBeGreaterThan(number(rows[0]!.cells[2]));
    // Fresh fish on ice: continuous (common practice).
    expect(rows[0]!.best).toBe(true);
  });
  test('presets: after the one advised, keying in what is listed is all that is left', () => {
    const { input } = opened('flowers');
    const report = reported('presets', input);
    const best = tableOf(report, 'presets').rows.find((r) => r.best)!;
    expect(tableOf(report, 'gaps').rows).toHaveLength(number(best.cells.at(-1)));
  });
});
