import { describe, expect, test } from '@jest/globals';
import { reachIn, typical, withPart } from '../../../testing/circuits.ts';
import { family } from '../../../testing/families.ts';
import { convert } from '../conversion/convert.ts';
import { kitList, type SiteMeasures } from './kit.ts';

const kit = (conversion: string, control: string, measures: SiteMeasures = {}) =>
  kitList(convert(typical(conversion), family(control)), family(control), measures);

describe('the kit list', () => {
  // Oracle: three jumpers and one return are new (convert.test.ts); 0.5 m each, a fifth over: 3 · 0.5 · 1.2 = 1.8 m, 0.6 m.
  test('counts wire by colour and gauge from the plan', () => {
    const wire = kit('timer-and-thermostat', 'marl-4', { wireMetres: 0.5 }).filter((l) => l.group === 'wire');
    expect(wire.map((l) => [l.what, l.amount])).toEqual([
      ['Wire 14 AWG, red', '0.6 m'],
      ['Wire 14 AWG, black', '1.8 m'],
    ]);
  });

  test('takes a lock for mains and a tag for a battery', () => {
    expect(kit('timer-and-thermostat', 'marl-4')[0]!.what).toMatch(/Lock/);
    expect(kit('vehicle-fridge', 'wick-12')[0]!.what).toMatch(/battery fuse/);
  });

  test('gives the probe lead its length, and a clamp its pipe, once they are measured', () => {
    const open = kit('condenser-fan-cycling', 'tarn-1').filter((l) => l.group === 'probes');
    expect(open[0]!.amount).toMatch(/to be measured/);
    const known = kit('condenser-fan-cycling', 'tarn-1', { probeMetres: 3, pipeMm: 12 }).filter(
      (l) => l.group === 'probes',
    );
    expect(known[0]!.amount).toBe('lead of 4 m');
    expect(known.some((l) => /12 mm/.test(l.what))).toBe(true);
  });

  test('a probe in water gets a seal', () => {
    expect(kit('two-outlet-plug-in', 'voe-duo', { inWater: true }).some((l) => /[Ss]eal/.test(l.what))).toBe(
      true,
    );
  });

  test('a probe on the old thermostat’s wires needs only a short lead', () => {
    expect(kit('vehicle-fridge', 'wick-12').find((l) => l.group === 'probes')!.amount).toBe('short lead');
  });

  test('a contactor that the plan puts in is on it', () => {
    const big = withPart(
      withPart(withPart(reachIn(), 'ST', { old: true }), 'M1', { watts: 1300, amps: 13 }),
      'F1',
      { amps: 25 },
    );
    const lines = kitList(convert(big, family('brae-c')), family('brae-c'));
    expect(lines.find((l) => l.group === 'parts')!.what).toMatch(/Contactor, 20 A/);
  });

  test.each([
    [{ widthMm: 71, heightMm: 29 }, /used again/],
    [{ widthMm: 90, heightMm: 40 }, /larger/],
    [{ widthMm: 50, heightMm: 29 }, /too small/],
    [null, /no hole yet/],
  ])('a hole of %j is judged against the cut-out', (hole, words) => {
    const definition = { ...family('tarn-1'), cutOut: { widthMm: 71, heightMm: 29 } };
    const lines = kitList(convert(typical('two-wire-thermostat'), definition), definition, { hole });
    expect(lines.find((l) => l.group === 'fixing')!.why).toMatch(words);
  });

  test('every line says why it is taken', () => {
    for (const line of kit('timer-and-thermostat', 'marl-4')) expect(line.why.length).toBeGreaterThan(10);
  });
});
