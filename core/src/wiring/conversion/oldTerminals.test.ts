import { expect, test } from '@jest/globals';
import { typical } from '../../../testing/circuits.ts';
import { oldTerminals } from './oldTerminals.ts';

const words = (id: string) => Object.fromEntries(oldTerminals(typical(id)).map((t) => [t.label, t.words]));

test('each terminal of a timer and thermostat says its line, its load, and the safety switches past it', () => {
  expect(words('timer-and-thermostat')).toMatchObject({
    N1: 'fed by L1, unswitched',
    D3: 'leads to Defrost heater, past Heater limit',
    C4: 'leads to Evaporator fan',
  });
  expect(oldTerminals(typical('timer-and-thermostat')).find((t) => t.end === 'ST.no')!.words).toBe(
    'leads to Compressor contactor, past High-pressure cut-out',
  );
  expect(oldTerminals(typical('timer-and-thermostat')).find((t) => t.end === 'TMM.2')!.words).toBe(
    'joins the old device inside',
  );
});

test('a feed behind a switch is called switched', () => {
  const [feed] = oldTerminals(typical('condenser-fan-cycling'));
  expect([feed!.words, feed!.switched]).toEqual(['fed by L1, through Interlock from the compressor', true]);
});

test('what stays bridged is no device that comes out', () => {
  expect(oldTerminals(typical('cold-control-bridged'))).toEqual([]);
});
