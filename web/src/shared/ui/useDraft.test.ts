import { expect, test } from '@jest/globals';
import { nextTick, ref } from 'vue';
import { useDraft } from './useDraft.ts';

function field(first: string) {
  const value = ref(first);
  const draft = useDraft(() => value.value);
  const write = async (next: string) => {
    value.value = next;
    await nextTick();
  };
  return { ...draft, write };
}

test('follows the value while nobody types', async () => {
  const f = field('38');
  await f.write('40');
  expect(f.text.value).toBe('40');
});

test('what is being typed stays when somebody else writes', async () => {
  const f = field('38');
  f.text.value = '3';
  await f.write('40');
  expect(f.text.value).toBe('3');
});

test('follows again once it was handed on, or once the value is what was typed', async () => {
  const f = field('38');
  f.text.value = '36';
  f.settle();
  await f.write('41');
  expect(f.text.value).toBe('41');
  f.text.value = '42';
  await f.write('42');
  await f.write('43');
  expect(f.text.value).toBe('43');
});

test('handing on twice hands on once', () => {
  const f = field('38');
  f.text.value = '36';
  expect([f.settle(), f.settle()]).toEqual([true, false]);
});

test('reset shows the value', async () => {
  const f = field('38');
  f.text.value = 'x';
  await f.write('40');
  f.reset();
  expect(f.text.value).toBe('40');
});

test('with a key it survives a look at another page, until it is handed on', async () => {
  const first = useDraft(() => '', 'note:1');
  first.text.value = 'Fan hums';
  await nextTick();
  const again = useDraft(() => '', 'note:1');
  expect(again.text.value).toBe('Fan hums');
  again.settle();
  expect(useDraft(() => '', 'note:1').text.value).toBe('');
});
