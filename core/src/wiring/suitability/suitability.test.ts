import { expect, test } from '@jest/globals';
import { contactorFrame, demandOf, overRating, tooWeak } from './index.ts';
import type { LoadPart } from '../circuit/index.ts';

const ratings = { resistiveAmps: 16, motorFullLoadAmps: 8, motorLockedRotorAmps: 48 };
const load = (over: Partial<LoadPart>): LoadPart => ({
  id: 'x',
  kind: 'load',
  role: 'defrostHeater',
  terminals: ['a', 'b'],
  watts: 2300,
  ratedVolts: 230,
  ...over,
});

// Oracle: by hand. A rating is what is allowed, so exactly the rating passes.
test.each([
  [{ amps: 16, motor: false, lockedRotorAmps: null }, null],
  [
    { amps: 16.1, motor: false, lockedRotorAmps: null },
    { kind: 'resistive', limit: 16, amps: 16.1 },
  ],
  [{ amps: 8, motor: true, lockedRotorAmps: 48 }, null],
  [
    { amps: 8.1, motor: true, lockedRotorAmps: 40 },
    { kind: 'motor', limit: 8, amps: 8.1 },
  ],
  [
    { amps: 7, motor: true, lockedRotorAmps: 49 },
    { kind: 'lockedRotor', limit: 48, amps: 49 },
  ],
  [{ amps: 8.1, motor: false, lockedRotorAmps: null }, null],
] as const)('of a contact for 16 A, 8 A of motor and 48 A at the start: %j', (demand, expected) => {
  expect(overRating(ratings, demand)).toEqual(expected);
});

test('a rating the plate does not give is not held against anything', () => {
  expect(overRating({}, { amps: 400, motor: true, lockedRotorAmps: 2000 })).toBeNull();
});

// Oracle: P = V·I, and P = √3·V·I on three phases; 2300 W on 230 V are 10 A.
test('amps add up; the largest start comes on top of what runs', () => {
  const motor = load({ role: 'compressor', watts: 920, lockedRotorAmps: 24 });
  expect(demandOf([load({})])).toEqual({ amps: 10, lockedRotorAmps: null, motor: false });
  expect(demandOf([load({}), motor])).toEqual({ amps: 14, lockedRotorAmps: 34, motor: true });
  const three = demandOf([load({ terminals: ['a', 'b', 'c'], watts: 2300 * Math.sqrt(3) })]);
  expect(three.amps).toBeCloseTo(10, 12);
});

test('the sentence has both figures', () => {
  const relay = { id: 'K1', drives: 'compressor', ratings } as unknown as Parameters<typeof tooWeak>[0];
  expect(tooWeak(relay, { amps: 18.4, motor: false, lockedRotorAmps: null })).toBe(
    '18 A on a contact for 16 A',
  );
  expect(tooWeak(relay, { amps: 7, motor: true, lockedRotorAmps: 60 })).toBe(
    '60 A at the start on a contact for 48 A locked rotor',
  );
  expect(
    tooWeak({ ...relay, ratings: undefined } as typeof relay, {
      amps: 99,
      motor: true,
      lockedRotorAmps: 500,
    }),
  ).toBeNull();
});

// Oracle: a quarter in hand, common practice: 16 A ask for 20, 16.1 A for 25.
test('the frame of a contactor has a quarter in hand', () => {
  expect(contactorFrame({ amps: 16, motor: true, lockedRotorAmps: null })).toBe(20);
  expect(contactorFrame({ amps: 16.1, motor: true, lockedRotorAmps: null })).toBe(25);
});
