import { beforeEach, expect, test } from '@jest/globals';
import { effectScope } from 'vue';
import { corrected, proposedCorrection } from '@brine/core/controllers/definitions';
import { memoryStorage } from '../../testing/memoryStorage.ts';
import { correctedWriting } from './correctedWriting.ts';
import { useWriting, type LiveWriting } from './useWriting.ts';

const table =
  'Code;Meaning;Min;Max;Default;Unit\nSP;Set point;-40;10;-20;°C\noF;Minimum off time of compressor;0;15;3;min\nPF;Compressor with failed probe: 0 = off, 1 = on;0;1;0;\n';

let live: LiveWriting;
beforeEach(() => {
  Object.assign(globalThis, {
    localStorage: memoryStorage(),
    fetch: async () => ({ ok: true, status: 200, json: async () => ({ meanings: [] }) }),
  });
  live = effectScope().run(() => useWriting())!;
  live.change({ text: table, family: 'Own' });
});
/** The correction taken over, and the parameters of the version that the writer begins from it. */
function after(code: string, wished: string, shown: string) {
  const definition = live.definition.value;
  const before = definition.parameters.find((p) => p.code === code)!;
  const correction = proposedCorrection(before, wished, shown);
  live.takeUp(correctedWriting(live.writing.value, before, correction), '2');
  return { corrected: corrected(definition, correction, '2').parameters, begun: live.draft.value };
}

test.each([
  ['oF', '10', '8'],
  ['oF', '10', 'Err'],
  ['SP', '-30', '-45'],
])(
  'what the display of %s showed stands in a version begun from the corrected one',
  (code, wished, shown) => {
    // Oracle: the definition that was corrected by itself.
    const before = live.draft.value.definition.parameters;
    const { corrected: parameters, begun } = after(code, wished, shown);
    expect(begun.definition.parameters).toEqual(parameters);
    expect(parameters).not.toEqual(before);
  },
);

test('an option that the booklet does not print is asked for, then stands', () => {
  const { begun } = after('PF', '1', '2');
  expect(begun.open).toEqual([{ line: 4, code: 'PF', message: 'say what 2 stands for' }]);
  live.say(live.rows.value.find((r) => r.code === 'PF')!.key, '2', 'dutyCycle');
  expect(live.draft.value.open).toEqual([]);
  expect(live.draft.value.definition.parameters[2]!.encoding).toMatchObject({
    options: [{ value: 0 }, { value: 1 }, { value: 2, means: 'dutyCycle' }],
  });
});

test('a code that is no row of the table changes nothing', () => {
  const before = { ...live.definition.value.parameters[1]!, code: 'zz' };
  expect(correctedWriting(live.writing.value, before, proposedCorrection(before, '10', '8'))).toEqual(
    live.writing.value,
  );
});
