import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { families, family, sheetOf } from '../../../testing/families.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { switchingBand } from '../../foundation/regulation/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definitions/definition.ts';
import { decode } from '../definitions/decode.ts';
import { displayOf, isVisible } from '../definitions/display.ts';
import { resolutionOf, scaleOf } from '../definitions/numberCode.ts';
import { encode } from './encode.ts';
import { translate } from './translate.ts';

/** An old freezer control as found, in whole °F. Cooling starts at −3 °F, stops 5 below; 4 h of cooling between defrosts. */
const found = sheetOf({
  Sn: -3,
  hY: 5,
  Lo: -20,
  Hi: 15,
  Pr: 0,
  Er: 1,
  Cp: 240,
  dP: 30,
  dE: 40,
  dr: 0,
  HE: 'E',
  Fn: 'Y',
  AL: 8,
  Ad: 0,
  Un: 'F',
});

function rowOf(result: ReturnType<typeof encode>, code: string) {
  return result.rows.find((row) => row.code === code);
}

describe('cooling starts at the old set point, stops at the new one', () => {
  const result = translate(family('gault-p'), found, family('marl-4'));
  const row = (code: string) => result.rows.find((r) => r.code === code);

  test('cut-out and cut-in are kept: −3 less 5 is −8', () => {
    expect(row('hold')).toMatchObject({ value: -8, status: 'meaning' });
    expect(row('hold')!.note).toContain('from −3 °F to −8 °F');
    expect(row('gap')).toMatchObject({ value: 5, status: 'exact' });
  });

  test("the user's limits move with it", () => {
    expect(row('low')).toMatchObject({ value: -25, status: 'meaning' });
    expect(row('top')).toMatchObject({ value: 10, status: 'meaning' });
  });

  test('240 min of cooling and 30 min of defrost are 270 min from start to start, 5 h in whole hours (half away from zero)', () => {
    expect(row('evry')).toMatchObject({ value: 5, status: 'meaning' });
    expect(row('evry')!.note).toContain('270 min');
  });

  test('offsets are copied, and the row says which limit moves with the set point', () => {
    expect(row('loud')).toMatchObject({ value: 8, status: 'exact' });
    expect(row('loud')!.note).toContain('now 0 °F instead of 5 °F');
  });

  test('a code the old sheet did not speak of stands at its own default', () => {
    expect(row('boot')).toMatchObject({ value: 2, status: 'default' });
  });

  test('parameters hidden by the values chosen have no row', () => {
    expect(row('on')).toBeUndefined();
    expect(row('puff')).toBeUndefined();
  });

  test('fixed behaviour has rows without a code', () => {
    expect(result.rows.filter((r) => r.code === null)).toHaveLength(
      Object.keys(family('marl-4').fixed!).length,
    );
  });
});

describe('a family without what the source has', () => {
  const source: SettingValues = {
    'regulation.setpoint': { value: 36, unit: 'degF' },
    'regulation.differential': { value: 4, unit: 'deltaF' },
    'compressor.minOffTime': { value: 5, unit: 'min' },
    'compressor.powerOnDelay': { value: 2, unit: 'min' },
    'compressor.onProbeFault': 'dutyCycle',
    'compressor.faultOnTime': { value: 15, unit: 'min' },
    'compressor.faultOffTime': { value: 10, unit: 'min' },
    'defrost.method': 'electric',
    'defrost.termination': 'temperature',
    'defrost.endTemperature': { value: 46, unit: 'degF' },
    'defrost.drainTime': { value: 0, unit: 'min' },
    'probes.coilPresent': true,
    'alarms.reference': 'absolute',
    'alarms.highTemperature': { value: 48, unit: 'degF' },
    'alarms.lowTemperature': { value: 30, unit: 'degF' },
    'alarms.highOffset': { value: 99, unit: 'deltaF' },
    'display.unit': 'fahrenheit',
  };
  const result = encode(source, family('tarn-1'));
  const lost = result.lost.map((l) => l.setting);

  test('absolute limits become offsets from its set point; an offset not in force is not copied', () => {
    expect(rowOf(result, '13')).toMatchObject({ value: 12, status: 'meaning' });
    expect(rowOf(result, '12')).toMatchObject({ value: -6, status: 'meaning' });
  });

  test('a choice it lacks falls to its default and is lost with its times', () => {
    expect(rowOf(result, '6')).toMatchObject({ value: 0, status: 'default' });
    expect(lost).toEqual(
      expect.arrayContaining([
        'compressor.onProbeFault',
        'compressor.faultOnTime',
        'compressor.faultOffTime',
      ]),
    );
  });

  test('behaviour built in otherwise is lost, an absent quiet value is not', () => {
    expect(lost).toEqual(
      expect.arrayContaining([
        'defrost.method',
        'defrost.termination',
        'probes.coilPresent',
        'defrost.endTemperature',
      ]),
    );
    expect(lost).not.toContain('defrost.drainTime');
    expect(lost).not.toContain('alarms.reference');
    expect(lost).not.toContain('alarms.highTemperature');
  });

  test('what hurts the compressor or the product is said first', () => {
    expect(lost.slice(0, 2)).toEqual(['compressor.powerOnDelay', 'compressor.onProbeFault']);
  });
});

describe('numbers that do not fit', () => {
  test('clamped beats recomputed and rounded, and the note names all', () => {
    // Cut-out −50 °C is beyond −45 °C; middle of the band on a control with its set point as cut-out.
    const result = encode(
      {
        'regulation.setpoint': { value: -50, unit: 'degC' },
        'regulation.differential': { value: 2.04, unit: 'K' },
        'regulation.differentialPlacement': 'setpointIsCutIn',
      },
      family('skerry-dx'),
    );
    expect(rowOf(result, 't1')).toMatchObject({ value: -45, status: 'clamped' });
    expect(rowOf(result, 't1')!.note).toContain('out of reach');
    expect(rowOf(result, 't1')!.note).toContain('runs from −50 °C to −52.04 °C');
    expect(rowOf(result, 't2')).toMatchObject({ value: 2, status: 'rounded' });
  });

  test('where the target can choose the placement it is copied and nothing moves', () => {
    const result = encode(
      {
        'regulation.setpoint': { value: 3, unit: 'degC' },
        'regulation.differential': { value: 2, unit: 'K' },
        'regulation.differentialPlacement': 'setpointIsMiddle',
      },
      family('skerry-dx'),
    );
    expect(rowOf(result, 't1')).toMatchObject({ value: 3, status: 'exact' });
    expect(rowOf(result, 't3')).toMatchObject({ value: 1, status: 'exact' });
  });

  test('a different code for the same meaning is exact', () => {
    expect(rowOf(encode({ 'defrost.atPowerOn': false }, family('skerry-dx')), 'i8')).toMatchObject({
      value: 1,
      status: 'exact',
    });
  });

  test('of combined options the one most of whose meanings agree is taken, the rest is lost', () => {
    const result = encode(
      { 'fans.control': 'controlled', 'fans.whileCompressorOff': 'cycle' },
      family('skerry-dx'),
    );
    expect(rowOf(result, 'a1')).toMatchObject({ value: 1, status: 'meaning' });
    expect(result.lost.map((l) => l.setting)).toEqual(['fans.whileCompressorOff']);
  });

  test('compressor run time cannot be counted as hours: both are lost, the interval is not copied', () => {
    const result = encode(
      { 'defrost.initiation': 'compressorRunTime', 'defrost.interval': { value: 4, unit: 'h' } },
      family('marl-4'),
    );
    expect(rowOf(result, 'evry')).toMatchObject({ value: 6, status: 'default' });
    expect(result.lost.map((l) => l.setting)).toEqual(['defrost.initiation', 'defrost.interval']);
  });

  test('two limits that one number must hold: the second is lost where they differ', () => {
    const result = encode(
      {
        'alarms.reference': 'relative',
        'alarms.highOffset': { value: 10, unit: 'K' },
        'alarms.lowOffset': { value: 4, unit: 'K' },
      },
      family('gault-p'),
    );
    expect(rowOf(result, 'AL')).toMatchObject({ value: 10, status: 'meaning' });
    expect(result.lost.map((l) => l.setting)).toEqual(['alarms.lowOffset']);
  });

  test('a heating stage is mirrored: it stops above', () => {
    const heats: SettingValues = {
      'regulation.action': 'heat',
      'regulation.setpoint': { value: 50, unit: 'degC' },
      'regulation.differential': { value: 4, unit: 'K' },
      'regulation.differentialPlacement': 'setpointIsCutOut',
    };
    const target: ControllerDefinition = {
      ...family('gault-p'),
      parameters: family('gault-p').parameters.map((p) =>
        p.code === 'Sn' ? { ...p, encoding: { ...p.encoding, max: 90 } } : p,
      ) as never,
      fixed: { ...family('gault-p').fixed, 'regulation.action': 'heat' },
    };
    // Heats from 46 up to 50; where the set point is cut-in that is 46.
    expect(rowOf(encode(heats, target), 'Sn')).toMatchObject({ value: 46, status: 'meaning' });
  });
});

/** A random sheet on a family: every code inside its range and on its resolution. */
function randomSheet(definition: ControllerDefinition): fc.Arbitrary<Readonly<Record<string, string>>> {
  const unit = definition.parameters.find((p) => p.setting === 'display.unit');
  const unitValues = unit?.encoding.type === 'choice' ? unit.encoding.options.map((o) => o.value) : [null];
  return fc.constantFrom(...unitValues).chain((unitValue) => {
    const display = displayOf(
      definition,
      new Map(unit && unitValue !== null ? [[unit.code, unitValue]] : []),
    );
    const entries = definition.parameters.map((p) => {
      if (p === unit) return [p.code, fc.constant(String(unitValue))] as const;
      if (p.setting === 'display.decimal')
        return [p.code, fc.constant(p.encoding.type === 'choice' ? String(p.encoding.default) : '')] as const;
      if (p.encoding.type === 'choice')
        return [p.code, fc.constantFrom(...p.encoding.options.map((o) => String(o.value)))] as const;
      if (p.encoding.type !== 'number') return [p.code, fc.constant('')] as const;
      const scale = scaleOf(p.encoding, display);
      const steps = Math.round((scale.max - scale.min) / resolutionOf(p.encoding, display));
      return [p.code, fc.nat(steps).map((n) => (scale.min + n * scale.resolution).toFixed(4))] as const;
    });
    return fc.record(Object.fromEntries(entries)) as fc.Arbitrary<Readonly<Record<string, string>>>;
  });
}

describe('between all families, both ways (property, fixed seed)', () => {
  const pairs = [...families.values()].flatMap((from) =>
    [...families.values()].map((to) => [from.id, to.id] as const),
  );

  test.each(pairs)(
    '%s → %s: statuses hold, nothing of the source is neither placed nor lost',
    (fromId, toId) => {
      const [from, to] = [family(fromId), family(toId)];
      fc.assert(
        fc.property(randomSheet(from), (codes) => {
          const sheet = sheetOf(codes);
          const source = decode(from, sheet);
          const result = translate(from, sheet, to);
          const display = encode(source.values, to).display;
          const values = new Map(
            result.rows.flatMap((r) => (r.code === null ? [] : [[r.code, r.value as string | number]])),
          );
          for (const row of result.rows) {
            if (row.code === null) continue;
            const parameter = to.parameters.find((p) => p.code === row.code)!;
            if (parameter.encoding.type === 'choice')
              expect(parameter.encoding.options.map((o) => o.value)).toContain(row.value);
            if (parameter.encoding.type === 'number') {
              const scale = scaleOf(parameter.encoding, display);
              expect(row.value).toBeGreaterThanOrEqual(scale.min);
              expect(row.value).toBeLessThanOrEqual(scale.max);
            }
            // Naive model of `exact`: reading the row back gives what the source said.
            if (row.status === 'exact' && typeof row.setting === 'string') {
              const back = decode(to, [
                ...displaySheet(to, values),
                { code: row.code, value: String(row.value) },
              ]).values[row.setting];
              expectSame(back, source.values[row.setting], row.setting);
            }
          }
          const settable = to.parameters.filter((p) => p.encoding.type !== 'reading');
          for (const hidden of settable.filter((p) => !result.rows.some((r) => r.code === p.code)))
            expect(isVisible(to, hidden, new Map([...values, ...encodeAll(source.values, to)]))).toBe(false);
          expect(new Set(result.lost.map((l) => l.setting)).size).toBe(result.lost.length);
        }),
        { seed: 42, numRuns: 6 },
      );
    },
  );

  test.each([...families.keys()])('%s → itself changes nothing and loses nothing', (id) => {
    const definition = family(id);
    fc.assert(
      fc.property(randomSheet(definition), (codes) => {
        const result = translate(definition, sheetOf(codes), definition);
        expect(result.lost).toEqual([]);
        for (const row of result.rows) {
          // A code outside the dictionary has no meaning to carry: it stands at its default and is named as unplaced.
          if (row.code === null || row.setting === null) continue;
          expect(row.status).toBe('exact');
          expect(Number.isFinite(Number(row.value)) ? Number(row.value) : row.value).toEqual(
            Number.isFinite(Number(codes[row.code])) ? Number(codes[row.code]) : codes[row.code],
          );
        }
      }),
      { seed: 43, numRuns: 100 },
    );
  });

  test('cut-out and cut-in survive every change of family within a step of the target', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -20, max: 30 }),
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom(...families.keys()).filter((id) => regulates(family(id))),
        (s, d, id) => {
          const source: SettingValues = {
            'regulation.setpoint': { value: s, unit: 'degF' },
            'regulation.differential': { value: d, unit: 'deltaF' },
            'regulation.differentialPlacement': 'setpointIsMiddle',
            'display.unit': 'fahrenheit',
          };
          const target = family(id);
          const { rows } = encode(source, target);
          const read = decode(
            target,
            rows.flatMap((r) => (r.code === null ? [] : [{ code: r.code, value: String(r.value) }])),
          ).values;
          const [before, after] = [switchingBand(source)!, switchingBand(read)!];
          // Set point and differential are each rounded by at most half a whole °F (0.28 K); a clamp shows in the status.
          if (rows.some((r) => r.status === 'clamped')) return;
          expect(Math.abs(after.cutOut - before.cutOut)).toBeLessThanOrEqual(0.28 + 1e-6);
          expect(Math.abs(after.cutIn - before.cutIn)).toBeLessThanOrEqual(0.56 + 1e-6);
        },
      ),
      { seed: 44, numRuns: 300 },
    );
  });
});

const regulates = (definition: ControllerDefinition) =>
  definition.parameters.some((p) => p.setting === 'regulation.setpoint');

function displaySheet(definition: ControllerDefinition, values: ReadonlyMap<string, string | number>) {
  return definition.parameters
    .filter((p) => p.setting === 'display.unit' || p.setting === 'display.decimal')
    .map((p) => ({ code: p.code, value: String(values.get(p.code)) }));
}

function encodeAll(values: SettingValues, target: ControllerDefinition): [string, string | number][] {
  return encode(values, {
    ...target,
    parameters: target.parameters.map((p) => ({ ...p, visibleWhen: undefined })) as never,
  }).rows.flatMap((r) => (r.code === null ? [] : [[r.code, r.value as string | number]]));
}

function expectSame(a: unknown, b: unknown, id: SettingId): void {
  if (isQuantity(a) && isQuantity(b))
    expect([id, baseValue(a).toFixed(5)]).toEqual([id, baseValue(b).toFixed(5)]);
  else expect([id, a]).toEqual([id, b]);
}
