import { describe, expect, test } from '@jest/globals';
import type { InstrumentReading, WhoIsRight } from '@brine/core/judgement/instruments';
import { checkWords, headline, notYetWords, suspectRows } from './rightWords.ts';

const instruments: readonly InstrumentReading[] = (['display', 'thermometer'] as const).map((kind) => ({
  id: kind,
  kind,
  place: 'returnAir',
  reads: 2,
  accuracyK: null,
  lag: null,
  monthsSinceCheck: null,
}));
const show = (kelvin: number) => `${kelvin} K`;
const said = (over: Partial<WhoIsRight> = {}): WhoIsRight => ({
  allRight: 0.02,
  canAllBeTrue: false,
  suspects: [
    { id: 'display', odds: 0.96, off: 3.5 },
    { id: 'thermometer', odds: 0.02, off: -2 },
  ],
  wrong: 'display',
  check: null,
  ...over,
});

describe('who is right, in words', () => {
  test('one that may be called wrong', () =>
    expect(headline(said(), instruments, show)).toBe(
      '✗ The display is wrong: it reads about 3.5 K too warm (96 %)',
    ));
  test('none need be', () =>
    expect(headline(said({ wrong: null, allRight: 0.95, canAllBeTrue: true }), instruments, show)).toContain(
      '✓ All of them can be true',
    ));
  test('too little to say so', () => {
    const check = { check: { kind: 'iceWater', of: 'thermometer' } as const, sureAfter: 0.93 };
    const open = said({ wrong: null, check });
    expect(headline(open, instruments, show)).toContain(
      'most likely the display (96 %): too little to say so',
    );
    expect(headline({ ...open, canAllBeTrue: true }, instruments, show)).toContain('but it is not sure');
    expect(checkWords(check, instruments)).toBe(
      'Put the thermometer into ice water: then the right one is named in 93 of 100 cases.',
    );
    const tied = {
      check: { kind: 'sideBySide', of: 'display', beside: 'thermometer' } as const,
      sureAfter: 0.8,
    };
    expect(checkWords(tied, instruments)).toContain('Tie the display and the thermometer together');
  });
  test('each with its odds; what is hardly likely without a number', () =>
    expect(suspectRows(said(), instruments, show).map(({ words }) => words)).toEqual([
      '96 %, then 3.5 K too warm',
      '2 %',
    ]));
  test('why not yet, and how long', () => {
    expect(notYetWords({ why: 'notSettled', wait: 190, id: 'thermometer' }, instruments)).toBe(
      'Wait 4 min: the thermometer still shows where it was before. No offset is taken now.',
    );
    expect(notYetWords({ why: 'stillMoving', wait: null, id: 'display' }, instruments)).toContain(
      'until the display has cut out once',
    );
  });
});
