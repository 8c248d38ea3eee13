import { describe, expect, test } from '@jest/globals';
import type { InstrumentReading } from './instruments.ts';
import { notYet, offsetAtOnce, settlesIn, type Moment } from './moment.ts';

const reading = (over: Partial<InstrumentReading> = {}): InstrumentReading => ({
  id: 'a',
  kind: 'thermometer',
  place: 'returnAir',
  reads: 3,
  accuracyK: null,
  lag: 60,
  monthsSinceCheck: 6,
  ...over,
});
const moment = (over: Partial<Moment> = {}): Moment => ({
  instruments: [
    { ...reading({ id: 'd', kind: 'display' }), inPlace: null },
    { ...reading(), inPlace: 3600 },
  ],
  inDefrost: false,
  band: { low: 2, high: 4 },
  period: 900,
  ...over,
});

describe('whether it is a moment to compare', () => {
  test('a box at rest, read by what has long been there', () => expect(notYet(moment())).toBeNull());

  // Closed form: 25 K fade to 0.2 K in τ·ln 125.
  test('a thermometer out of a pocket: as long as it takes', () => {
    const at = moment();
    const waiting = notYet({ ...at, instruments: [at.instruments[0]!, { ...reading(), inPlace: 100 }] });
    expect(settlesIn(reading())).toBeCloseTo(60 * Math.log(125), 9);
    expect(waiting).toEqual({ why: 'notSettled', wait: Math.ceil(60 * Math.log(125) - 100), id: 'a' });
  });

  test('a box that is still being pulled down: until it has cut out', () => {
    const at = moment();
    const warm = { ...reading({ id: 'd', kind: 'display', reads: 9 }), inPlace: null };
    expect(notYet({ ...at, instruments: [warm, at.instruments[1]!] })).toMatchObject({
      why: 'stillMoving',
      wait: null,
    });
  });

  test('in a defrost: two cycles', () =>
    expect(notYet(moment({ inDefrost: true }))).toEqual({ why: 'inDefrost', wait: 1800, id: null }));

  test('an offset at once only from one place, both as quick', () => {
    expect(offsetAtOnce(reading({ lag: 20 }), reading({ lag: 30 }), 900)).toBe(true);
    expect(offsetAtOnce(reading({ lag: 20 }), reading({ lag: 300 }), 900)).toBe(false);
    expect(offsetAtOnce(reading({ lag: 20 }), reading({ lag: 20, place: 'goods' }), 900)).toBe(false);
  });
});
