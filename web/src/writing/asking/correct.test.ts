import { beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import { doubtsOf } from '@brine/core/judgement/asking';
import { useWriting, type LiveWriting } from '../useWriting.ts';
import { writeDown } from './correct.ts';

const booklet = `Code Parameter Min. Max. Fact. U.M.
sk01 Set point -10 20 4 °C
sk02 Hysteresis 1 15 3 °C
sk12 Compressor start delay from power-up 0 15 1 min
sk21 Interval between defrosts 1 48 6 h
sk23 Maximum defrost duration 1 90 30 min
sk33 Fan with compressor off: 0 = stopped; 1 = on 0 1 0
sk41 High temperature alarm above set point 1 40 8 °C
sk51 Air probe calibration -10 10 0 °C`;

let live: LiveWriting;
beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
  live = effectScope().run(() => useWriting())!;
  live.change({ text: booklet });
});

/** Writes down that a doubt is the meaning with this id, and looks at what is in doubt then. */
function told(doubt: string, meaning: string) {
  const asked = doubtsOf(live.written.value).find(({ id }) => id === doubt)!;
  writeDown(
    live,
    asked,
    asked.meanings.findIndex(({ id }) => id === meaning),
  );
  return doubtsOf(live.written.value).find(({ id }) => id === doubt)!;
}
const encodingOf = (code: string) => live.written.value.parameters.find((one) => one.code === code)!.encoding;

test('the unit of a delay', () => {
  expect(told('unit:sk12', 's').meanings[0]!.id).toBe('s');
  expect(encodingOf('sk12')).toMatchObject({ unit: 's', min: 0, max: 15 });
});

test('the sign of an offset, and back again', () => {
  expect(told('sign:sk51', 'otherSign').meanings[0]!.words).toContain('taken off');
  expect(encodingOf('sk51')).toMatchObject({ sign: -1 });
  expect(told('sign:sk51', 'otherSign').meanings[0]!.words).toContain('added');
});

test('options that are exchanged', () => {
  const before = encodingOf('sk33');
  told('options:sk33', 'swapped');
  const after = encodingOf('sk33');
  if (before.type !== 'choice' || after.type !== 'choice') throw new Error('a choice was expected');
  expect(after.options.map(({ means }) => means)).toEqual(
    before.options.map(({ means }) => means).toReversed(),
  );
});

test('where the band lies, where no code says it', () => {
  told('fact:regulation.differentialPlacement', 'setpointIsMiddle');
  expect(live.written.value.fixed).toMatchObject({ 'regulation.differentialPlacement': 'setpointIsMiddle' });
});

test('what the alarm limits are', () => {
  const { meanings } = doubtsOf(live.written.value).find(({ id }) => id === 'reference')!;
  const other = meanings[1]!.id;
  told('reference', other);
  const setting = live.rows.value.find(({ code }) => code === 'sk41')!.setting;
  expect(setting).toBe(other === 'absolute' ? 'alarms.highTemperature' : 'alarms.highOffset');
});

test('that a change needs saving', () => {
  expect(told('saving', 'leaving').meanings[0]!.id).toBe('leaving');
});
