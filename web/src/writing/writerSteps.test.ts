import { beforeEach, describe, expect, test } from '@jest/globals';
import { effectScope } from 'vue';
import { memoryStorage } from '../../testing/memoryStorage.ts';
import { acceptRow, rowsToCheck } from './rowsToCheck.ts';
import { SHOWN, useWriting, type LiveWriting } from './useWriting.ts';
import { useWriterSteps } from './writerSteps.ts';

const booklet = [
  'Code;Description;Min;Max;Unit;Default',
  'w1;Set point;-40;99;°C;-18',
  'w2;Differential;1;20;K;2',
  'w3;Second outlet: 0 = none, 1 = thermostat;0;1;;0',
  'w4;Set point of outlet 2 (only if w3 = 1);-40;99;°C;5',
  'w5;Something nobody knows;0;9;;1',
].join('\n');

let live: LiveWriting;
beforeEach(() => {
  Object.assign(globalThis, {
    localStorage: memoryStorage(),
    fetch: async () => ({ ok: true, status: 200, json: async () => ({ meanings: [] }) }),
  });
  live = effectScope().run(() => useWriting())!;
});
const stateOf = () =>
  Object.fromEntries(
    useWriterSteps(live).value.map(({ id, state, says }) => [id, `${state} ${says}`.trim()]),
  );
const row = (code: string) => live.rows.value.find((one) => one.code === code)!;

describe('what is done and what is open', () => {
  test('nothing yet', () => {
    expect(stateOf()).toMatchObject({
      booklet: 'open no table yet',
      meanings: 'open',
      keys: 'may the usual pattern',
      presets: 'done none',
    });
  });

  test('a table, its rows to check, and what they were accepted as', () => {
    live.change({ text: booklet });
    expect(stateOf()).toMatchObject({ booklet: 'done 5 rows', connections: 'may 4 of 4 not stated' });
    expect(rowsToCheck(live).map(({ code }) => code)).toContain('w5');
    for (const one of rowsToCheck(live)) acceptRow(live, one);
    expect(rowsToCheck(live)).toEqual([]);
    expect(stateOf()['meanings']).toBe('done all checked');
    expect(row('w5')).toMatchObject({ setting: null, decided: true });
  });

  test('a row that depends on another is the menu’s rule; somebody may say otherwise', () => {
    live.change({ text: booklet });
    const rule = () => live.written.value.parameters.find(({ code }) => code === 'w4')!.visibleWhen;
    expect(rule()).toEqual({ code: 'w3', in: [1] });
    live.depend(row('w4').key, null);
    expect(rule()).toBeUndefined();
  });
});

describe('keys that were shown', () => {
  const steps = [
    { act: { action: 'hold' as const, keys: ['set'], seconds: 5 }, shows: 'w1' },
    { act: { action: 'press' as const, keys: ['down'] }, shows: 'w2' },
    { act: { action: 'press' as const, keys: ['set'] }, shows: '2' },
    { act: { action: 'press' as const, keys: ['up'] }, shows: '3' },
    { act: { action: 'press' as const, keys: ['up'] }, shows: '4' },
    { act: { action: 'press' as const, keys: ['set'] }, shows: 'w2' },
    { act: { action: 'hold' as const, keys: ['set'], seconds: 4 }, shows: null },
  ];
  const show = (shown: typeof steps) => {
    const { showing } = live.writing.value;
    const [menu] = showing.menus;
    live.change({
      text: booklet,
      pattern: SHOWN,
      showing: { ...showing, menus: [{ ...menu!, demonstration: { code: 'w2', value: '4', steps: shown } }] },
    });
  };

  test('make a panel that is played back, with the partner keys for the other way', () => {
    show(steps);
    expect(stateOf()['keys']).toBe('done played back');
    expect(live.panel.value!.menus[0]).toMatchObject({
      enter: [{ press: 'set', seconds: 5 }],
      move: { next: 'down', previous: 'up', open: 'set' },
      edit: { more: 'up', less: 'down', take: 'set' },
    });
    expect(live.faults.value).toEqual([]);
  });

  test('make none while they do not lead out again; saving says so', () => {
    show(steps.slice(0, -1));
    expect([stateOf()['keys'], live.panel.value]).toEqual(['open to be shown', null]);
  });

  test('outside the menu are direct actions of the panel', () => {
    show(steps);
    live.change({
      shortcuts: [
        {
          does: 'startDefrost',
          steps: [{ act: { action: 'hold', keys: ['down'], seconds: 6 }, shows: 'dEF' }],
        },
      ],
    });
    expect(live.panel.value!.deeds).toEqual([
      { does: 'startDefrost', steps: [{ press: 'down', seconds: 6 }], shows: 'dEF' },
    ]);
  });
});

test('presets set what the booklet lists, and the code that picks one becomes their choice', () => {
  live.change({
    text: booklet,
    presetCode: 'w3',
    presets: [
      { id: '0', name: 'cooler', values: { w1: '3' } },
      { id: '1', name: 'freezer', values: { w1: '-20', w2: '99' } },
    ],
  });
  expect(live.written.value.presets!.map(({ values }) => values)).toEqual([{ w1: 3 }, { w1: -20 }]);
  expect(live.preset.value.problems).toEqual(['Preset 1: w2 cannot be 99']);
  expect(stateOf()['presets']).toBe('open 2 presets');
});
