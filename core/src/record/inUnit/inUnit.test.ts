import { describe, expect, test } from '@jest/globals';
import { freezerInFahrenheit } from '../../../testing/freezerSurvey.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family } from '../../../testing/families.ts';
import type { EntryBody, PinnedDefinition } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { programOf } from '../job/index.ts';
import { inUnitOf } from './inUnit.ts';

const pin = (id: string): PinnedDefinition => ({ id, family: id, version: '1', hash: `hash of ${id}` });
const marl = pin('marl-4');

function inUnit(bodies: readonly EntryBody[], old: PinnedDefinition | null = null) {
  const state = fold(acceptedInOrder([...freezerInFahrenheit, ...bodies]));
  const control = family('marl-4');
  const program = programOf({
    state,
    name: 'Fish store',
    old: old ? control : null,
    replacement: control,
    companyDefaults: {},
  });
  return { program, ...inUnitOf(state, program, control, { old, replacement: marl }) };
}

describe('what is in the unit', () => {
  test('is nothing while nothing was keyed, whatever is planned', () => {
    const { known, settings, planned, program } = inUnit([]);
    expect(known).toEqual([]);
    expect(Object.keys(settings).filter((id) => id.startsWith('regulation.cut'))).toEqual([]);
    expect(planned).toEqual(program.rows.map((row) => row.code));
  });

  test('is what was keyed, with since when and by whom; what the display showed instead stands as shown', () => {
    const [hold, gap] = inUnit([]).program.rows;
    const other = Number(gap!.value) + 1;
    const { known, planned } = inUnit([
      { kind: 'keyed', code: 'hold', state: 'keyed', value: hold!.value },
      { kind: 'keyed', code: 'gap', state: 'showsElse', value: gap!.value, shown: String(other) },
    ]);
    expect(known.map(({ code, value, how }) => [code, value, how])).toEqual([
      ['hold', hold!.value, 'keyed'],
      ['gap', other, 'shown'],
    ]);
    expect([known[0]!.by, Number.isNaN(Date.parse(known[0]!.since))]).toEqual(['u', false]);
    expect([planned.includes('hold'), planned.includes('gap')]).toEqual([false, true]);
  });

  test('a plan changed after keying leaves the old value in the unit, and the new one only planned', () => {
    const hold = inUnit([]).program.rows.find((row) => row.code === 'hold')!;
    const other = Number(hold.value) + 2;
    const { known, planned } = inUnit([
      { kind: 'keyed', code: 'hold', state: 'keyed', value: hold.value },
      { kind: 'plannedCode', code: 'hold', value: other },
    ]);
    expect(known.map(({ code, value }) => [code, value])).toEqual([['hold', hold.value]]);
    expect(planned).toContain('hold');
  });

  test('skipped is neither in the unit nor planned for it', () => {
    const hold = inUnit([]).program.rows.find((row) => row.code === 'hold')!;
    const { known, planned } = inUnit([
      { kind: 'keyed', code: 'hold', state: 'skipped', value: hold.value, why: 'locked' },
    ]);
    expect(known).toEqual([]);
    expect(planned).not.toContain('hold');
  });

  test('what was read counts where that control stays, and not where it was another', () => {
    const found: EntryBody = { kind: 'found', code: 'hold', value: '-4' };
    expect(inUnit([found], marl).known.map(({ code, value, how }) => [code, value, how])).toEqual([
      ['hold', -4, 'read'],
    ]);
    expect(inUnit([found], pin('gault-p')).known).toEqual([]);
  });
});
