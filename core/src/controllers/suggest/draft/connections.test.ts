import { describe, expect, test } from '@jest/globals';
import { readDefinition } from '../../definitions/index.ts';
import { family } from '../../../../testing/families.ts';
import { readController } from '../../panel/index.ts';
import { readTable } from '../table/readTable.ts';
import { draftDefinition } from './draftDefinition.ts';
import { draftRows } from './draftRow.ts';
import { panelFrom, panelPatterns } from './panelPatterns.ts';
import { connectionsOf, noConnections, type WrittenConnections, type WrittenRelay } from './connections.ts';

const relay = (more: Partial<WrittenRelay> = {}): WrittenRelay => ({
  drives: 'compressor',
  common: '1',
  normallyOpen: '2',
  normallyClosed: '',
  resistiveAmps: '16',
  motorFullLoadAmps: '',
  motorLockedRotorAmps: '',
  fedInside: 'no',
  ...more,
});
const of = (more: Partial<WrittenConnections>) => connectionsOf({ ...noConnections, ...more });

describe('the back of a control as it was typed', () => {
  test('what nobody stated is left out; what it has not is an empty list', () => {
    expect(connectionsOf(noConnections)).toEqual({ parts: {}, problems: [] });
    expect(of({ inputs: [] }).parts).toEqual({ inputs: [] });
  });

  test('relays with their contact, ratings and feed', () => {
    const { parts, problems } = of({
      relays: [
        relay(),
        relay({ drives: 'defrost', normallyClosed: '5', resistiveAmps: '8 A', fedInside: 'unknown' }),
      ],
    });
    expect(problems).toEqual([]);
    expect(parts.relays).toEqual([
      {
        id: 'K1',
        drives: 'compressor',
        terminals: { common: '1', normallyOpen: '2' },
        ratings: { resistiveAmps: 16 },
        commonFedInternally: false,
      },
      {
        id: 'K2',
        drives: 'defrost',
        terminals: { common: '1', normallyOpen: '2', normallyClosed: '5' },
        ratings: { resistiveAmps: 8 },
        commonFedInternally: 'unknown',
      },
    ]);
  });

  test.each([
    ['120', 120],
    ['230 V', 230],
    ['208-240', [208, 240]],
    ['100 to 240 VAC', [100, 240]],
    ['12/24', [12, 24]],
  ])('%s is volts', (volts, read) => {
    const { parts } = of({ supply: [{ volts, kind: 'ac', terminals: ['L', ''] }] });
    expect(parts.supply).toEqual([{ volts: read, kind: 'ac', terminals: ['L', 'supply 1 b'] }]);
  });

  test.each<[Partial<WrittenConnections>, string]>([
    [{ supply: [{ volts: 'mains', kind: 'ac', terminals: ['', ''] }] }, 'Supply 1: expected volts'],
    [{ relays: [relay({ resistiveAmps: 'plenty' })] }, 'Relay 1: expected amps above 0, found “plenty”'],
    [{ cutOut: ['76', ''] }, 'expected its width and its height'],
    [{ cutOut: ['76', '-3'] }, 'expected millimetres above 0'],
  ])('%j is told with its place', (written, part) => {
    expect(of(written).problems).toEqual([expect.stringContaining(part)]);
  });

  // Oracle: the check that every definition goes through.
  test('and the definition with it passes the check', () => {
    const { supply: _s, relays: _r, probes: _p, inputs: _i, cutOut: _c, ...rest } = family('marl-4');
    const { parts } = of({
      supply: [{ volts: '120', kind: 'ac', terminals: ['L', 'N'] }],
      relays: [relay(), relay({ drives: 'defrost' })],
      probes: [{ role: 'air', types: ['ntc10k'], terminals: ['7', '8'] }],
      inputs: [{ role: 'door', terminals: ['9', '10'] }],
      cutOut: ['71', '29'],
    });
    const read = readDefinition({ ...rest, ...parts });
    expect('faults' in read ? read.faults : []).toEqual([]);
  });
});

test('a meter written down has its sensors’ tags: slope and offset by their words, and the degrees they belong to', () => {
  const rows = draftRows(
    readTable(
      [
        'Code;Description;Min;Max;Unit;Default',
        'M1;Supply temperature sensor, slope;0.8;1.2;;1',
        'M2;Supply temperature sensor, offset;-9.9;9.9;;0',
        'M3;Return temperature sensor slope;0.8;1.2;;1',
        'M4;Return temperature sensor offset;-9.9;9.9;;0',
      ].join('\n'),
    ).rows,
  );
  expect(rows.map(({ setting }) => setting)).toEqual([
    'meter.supplySlope',
    'meter.supplyOffset',
    'meter.returnSlope',
    'meter.returnOffset',
  ]);
  const { definition } = draftDefinition(
    { id: 'm', family: 'M', version: '1' },
    rows,
    panelFrom(panelPatterns[0]!, {}),
  );
  const { parts } = connectionsOf({ ...noConnections, tagUnit: 'degF' });
  const read = readController({ ...definition, ...parts });
  expect('faults' in read ? read.faults : []).toEqual([]);
  expect(parts.sensorTag).toEqual({ formula: 'temperature = slope × signal + offset', signalUnit: 'degF' });
});
