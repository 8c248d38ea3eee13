import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { inWords } from '../../foundation/sentences/index.ts';
import { readBox, type BoxFile, type ParameterId } from '../../machines/identification/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { plan, valuesOf } from '../plan/index.ts';
import { learnedSays } from './learnedSays.ts';

const example = readBox(
  JSON.parse(
    readFileSync(
      new URL('../../../../docs/formats/examples/learned/freezer.box.json', import.meta.url),
      'utf8',
    ),
  ),
) as BoxFile;
/** Each parameter errs for itself, by a tenth: what a log tells well. */
const { covariance: _covariance, ...plainBox } = example;
const before: BoxFile = {
  ...plainBox,
  parameters: Object.fromEntries(
    Object.entries(plainBox.parameters).map(([id, p]) => [id, { ...p, error: Math.abs(p.value) * 0.1 }]),
  ) as BoxFile['parameters'],
};
const unit = plainUnit('walkInFreezer');
const values = valuesOf(plan(unit));
const changed = (id: ParameterId, factor: number): BoxFile => ({
  ...before,
  parameters: {
    ...before.parameters,
    [id]: { ...before.parameters[id], value: before.parameters[id].value * factor },
  },
});
const said = (box: BoxFile, earlier: BoxFile | null = before) =>
  new Map(learnedSays({ unit, values, box, earlier }).map((d) => [d.cause, d]));
const likeliest = (box: BoxFile) =>
  [...said(box).values()].sort((a, b) => b.times - a.times).map(({ cause }) => cause);

// What each cause changes is the premise; boxes of other equations with these faults stand in docs/identification.md.
describe('what a learned box says of causes', () => {
  test.each([
    ['heater', 0.5, 'deadHeater'],
    ['capacity', 0.72, 'dirtyCondenser'],
    ['coilToAir', 0.5, 'deadFan'],
    ['doorUse', 2.5, 'door'],
  ] as const)('%s at %s speaks for %s', (id, factor, cause) => {
    expect(likeliest(changed(id, factor))[0]).toBe(cause);
    expect(said(changed(id, factor)).get(cause)!.times).toBeGreaterThan(2);
  });

  test('a machine that gives half is one of the two that give less, and nothing parts them', () => {
    expect(new Set(likeliest(changed('capacity', 0.5)).slice(0, 2))).toEqual(
      new Set(['dirtyCondenser', 'lowCharge']),
    );
  });

  test('a box that is what it was speaks against all of them', () => {
    for (const { cause, times } of said(before).values()) expect([cause, times < 1]).toEqual([cause, true]);
  });

  test('what changes alike is named alike: ice from short and from rare defrosts', () => {
    const iced = said(changed('coilToAir', 0.6));
    expect(iced.get('shortDefrost')!.times).toBe(iced.get('seldomDefrost')!.times);
  });

  test('is said in words, against what it was', () => {
    const { words } = said(changed('heater', 0.5)).get('deadHeater')!;
    expect(inWords(words)).toBe('The defrost heater does 50 % of what it was when it was learned before.');
    expect(inWords(said(before, null).get('deadHeater')!.words)).toContain('of what is usual');
    // Learned with what the company's other units say: then that is what it stands beside.
    const kind = { ...before, priors: { heater: { usual: -0.2, spread: 0.2 } } };
    expect(inWords(said(kind, null).get('deadHeater')!.words)).toContain('your units of the kind');
  });

  // Closed form: with errors as wide as the prior the log says nothing.
  test('a parameter that the log did not tell says nothing', () => {
    const blind: BoxFile = {
      ...before,
      parameters: { ...before.parameters, heater: { ...before.parameters.heater, value: 500, error: 5000 } },
    };
    expect(said(blind).has('deadHeater')).toBe(false);
  });

  test('no log is believed beyond thirty to one', () => {
    for (const { times } of said(changed('heater', 0.2)).values()) {
      expect(times).toBeLessThanOrEqual(30);
      expect(times).toBeGreaterThanOrEqual(1 / 30);
    }
  });
});
