import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { readBox, type BoxFile } from '../../machines/identification/index.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { freezerSurvey } from '../../../testing/freezerSurvey.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { boxMark, learnedBoxOf, staleWords } from './learnedBox.ts';
import { unitOf } from './survey.ts';

const example = JSON.parse(
  readFileSync(
    new URL('../../../../docs/formats/examples/learned/freezer.box.json', import.meta.url),
    'utf8',
  ),
) as unknown;
const box = readBox(example) as BoxFile;
const unit = plainUnit('walkInFreezer');
const learned: EntryBody = {
  kind: 'learned',
  name: 'freezer.csv',
  from: '2026-03-02T00:00:00',
  to: '2026-03-06T00:00:00',
  unit: boxMark(unit),
  box,
};
const stateOf = (...bodies: readonly EntryBody[]) => fold(acceptedInOrder(bodies));
const unitAfter = (...bodies: readonly EntryBody[]) => unitOf(stateOf(...freezerSurvey, ...bodies), '', {});

describe('the unit’s own box in its job', () => {
  test('is run once it is learned, and not once somebody goes back to the usual one', () => {
    expect(unitAfter()?.learned).toBeUndefined();
    expect(unitAfter(learned)?.learned?.['wallLoss']).toBe(box.parameters.wallLoss.value);
    expect(unitAfter(learned, { kind: 'boxChoice', use: 'usual', why: '' })?.learned).toBeUndefined();
    expect(
      unitAfter(
        learned,
        { kind: 'boxChoice', use: 'usual', why: '' },
        { kind: 'boxChoice', use: 'own', why: '' },
      )?.learned,
    ).toBeDefined();
    expect(unitAfter(learned, { ...learned, box: null })?.learned).toBeUndefined();
  });

  test('is not run on a unit of another kind', () => {
    expect(
      unitAfter(learned, { kind: 'answer', question: 'application', value: 'walkInCooler' } as EntryBody)
        ?.learned,
    ).toBeUndefined();
  });

  test.each([
    ['in the same month', '2026-04-01T00:00:00Z', unit, null],
    ['a season later', '2026-07-01T00:00:00Z', unit, 'Learned from a log that ended 11'],
    [
      'described otherwise',
      '2026-04-01T00:00:00Z',
      { ...unit, defrostMethod: 'hotGas' as const },
      'described otherwise',
    ],
    [
      'its box measured',
      '2026-04-01T00:00:00Z',
      { ...unit, facts: { boxVolume: 20 } },
      'described otherwise',
    ],
    ['a fact of a tool typed', '2026-04-01T00:00:00Z', { ...unit, facts: { batteryAmpHours: 90 } }, null],
    ['named otherwise alone', '2026-04-01T00:00:00Z', { ...unit, name: 'Other' }, null],
  ])('%s: whether it is stale', (_, now, described, words) => {
    const said = staleWords(learnedBoxOf(stateOf(learned))!, described, new Date(now));
    expect(said).toEqual(words === null ? null : expect.stringContaining(words));
  });

  test('says why it was put aside', () => {
    const state = stateOf(learned, { kind: 'boxChoice', use: 'usual', why: 'new door seal' });
    expect(staleWords(learnedBoxOf(state)!, unit, new Date('2026-03-07'))).toContain('new door seal');
  });
});
