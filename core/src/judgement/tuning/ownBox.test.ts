import { describe, expect, test } from '@jest/globals';
import { applications } from '../../foundation/settings/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { boxOf, templates } from '../../machines/box/index.ts';
import { hasOwnBox, ownBox, usualBox } from './ownBox.ts';

const kinds = applications.filter(hasOwnBox);

describe('the box of a unit as it was measured', () => {
  test('nothing measured changes nothing', () => {
    for (const kind of applications) expect(ownBox(plainUnit(kind))).toEqual({});
  });

  // Oracle: the kind's own box, whose figures are held to the trade elsewhere.
  test.each(kinds)('a %s measured as it usually is is the usual box', (kind) => {
    const choice = ownBox(plainUnit(kind, { facts: usualBox(kind) }));
    const [own, usual] = [boxOf(kind, choice), boxOf(kind)];
    for (const part of ['capacity', 'wallToAmbient', 'airMass', 'fanWatts'] as const)
      expect(own[part] / usual[part]).toBeCloseTo(1, 9);
    expect(own.door.width).toBeCloseTo(usual.door.width, 9);
    expect(own.door.height).toBeCloseTo(usual.door.height, 9);
  });

  test('half the foam lets twice the heat through (closed form), and the machine is larger for it', () => {
    const { boxWall } = usualBox('walkInFreezer');
    const own = boxOf(
      'walkInFreezer',
      ownBox(plainUnit('walkInFreezer', { facts: { boxWall: boxWall / 2 } })),
    );
    const usual = boxOf('walkInFreezer');
    expect(own.wallToAmbient / usual.wallToAmbient).toBeCloseTo(2, 9);
    expect(own.capacity).toBeGreaterThan(usual.capacity);
  });

  test('glass, a larger door and a larger room each bring more heat', () => {
    const capacity = (facts: NonNullable<ReturnType<typeof plainUnit>['facts']>) =>
      boxOf('walkInCooler', ownBox(plainUnit('walkInCooler', { facts }))).capacity;
    const usual = capacity({});
    expect(capacity({ boxGlass: 6 })).toBeGreaterThan(1.1 * usual);
    expect(capacity({ boxDoor: 4 })).toBeGreaterThan(1.1 * usual);
    expect(capacity({ boxVolume: 60 })).toBeGreaterThan(1.5 * usual);
  });

  test('a door keeps its shape up to the height of a room, then grows wider', () => {
    const { door } = boxOf('walkInCooler', { doorArea: 9 });
    expect(door.height).toBe(2.4);
    expect(door.width * door.height).toBeCloseTo(9, 9);
    const small = boxOf('walkInCooler', { doorArea: 0.9 }).door;
    expect(small.height / small.width).toBeCloseTo(
      templates.walkInCooler.door.height / templates.walkInCooler.door.width,
      9,
    );
  });

  test('a transport unit is the body that its pre-cooling is worked out for', () => {
    const facts = { bodyLength: 6, bodyWidth: 2, bodyHeight: 2, bodyInsulation: 0.6 };
    expect(ownBox(plainUnit('transportUnit', { facts }))).toEqual({ volume: 24, insulationFactor: 0.6 });
  });
});
