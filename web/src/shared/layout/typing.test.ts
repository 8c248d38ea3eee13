import { afterEach, expect, test } from '@jest/globals';
import { isTyping, watchTyping } from './typing.ts';

const stop = watchTyping();
afterEach(() => (document.body.innerHTML = ''));
function typeIn(html: string, text: string): HTMLInputElement {
  document.body.innerHTML = html;
  const field = document.querySelector('input')!;
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  return field;
}

test('a field is being typed in until it is left, emptied or gone', () => {
  const field = typeIn('<input />', 'a');
  expect(isTyping.value).toBe(true);
  field.dispatchEvent(new Event('change', { bubbles: true }));
  expect(isTyping.value).toBe(false);
  const other = typeIn('<input />', 'b');
  other.value = '';
  other.dispatchEvent(new Event('input', { bubbles: true }));
  expect(isTyping.value).toBe(false);
});

const submitted = async () => {
  document.querySelector('form')!.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
  await new Promise((resolve) => setTimeout(resolve, 600));
};

test('in a form leaving one field hands on nothing: only the form does', async () => {
  const field = typeIn('<form><input /></form>', 'a');
  field.dispatchEvent(new Event('change', { bubbles: true }));
  expect(isTyping.value).toBe(true);
  await submitted();
  expect(isTyping.value).toBe(false);
});

test('a form that says what is missing has handed on nothing', async () => {
  const field = typeIn('<form><input /></form>', 'a');
  field.form!.insertAdjacentHTML('beforeend', '<p role="alert">Expected a name</p>');
  await submitted();
  expect(isTyping.value).toBe(true);
  field.form!.querySelector('p')!.remove();
  await submitted();
  expect(isTyping.value).toBe(false);
  stop();
});
