import { expect, test } from '@jest/globals';
import type { EntryBody } from '@brine/contract/entries';
import { editableTexts, withTexts } from './editable.ts';

globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value));

const followUp: EntryBody = {
  kind: 'followUp',
  id: 'f',
  followUp: { due: 'soon', what: 'look', done: false },
};

test('texts can be edited, what names the entry’s place cannot', () => {
  expect(editableTexts({ kind: 'note', text: 'x' })).toEqual([{ field: 'text', text: 'x' }]);
  expect(editableTexts({ kind: 'found', code: 'Cp', value: '300' })).toEqual([
    { field: 'value', text: '300' },
  ]);
  expect(editableTexts(followUp).map((t) => t.field)).toEqual(['followUp.due', 'followUp.what']);
  expect(editableTexts({ kind: 'wired', wire: 'a-b', done: true }).map((t) => t.field)).toEqual(['wire']);
});

test('an edited entry is the same but for its texts, and the old one is untouched', () => {
  const changed = withTexts(followUp, [{ field: 'followUp.due', text: '2026-12-01' }]);
  expect(changed).toEqual({
    kind: 'followUp',
    id: 'f',
    followUp: { due: '2026-12-01', what: 'look', done: false },
  });
  expect(followUp.kind === 'followUp' && followUp.followUp?.due).toBe('soon');
});
