import { describe, expect, test } from '@jest/globals';
import { ref } from 'vue';
import { handOn } from './handOn.ts';

describe('what was typed is handed on', () => {
  test('the fields are empty while it is being kept, and what is typed meanwhile stays', async () => {
    const [code, words] = [ref('E1'), ref('probe')];
    let kept = '';
    const typed = code.value;
    await handOn([code, words], async () => {
      expect([code.value, words.value]).toEqual(['', '']);
      kept = typed;
      await Promise.resolve();
      code.value = 'E2';
    });
    expect([kept, code.value, words.value]).toEqual(['E1', 'E2', '']);
  });

  test('what could not be kept is back in its field, but not over what was typed since', async () => {
    const [code, words] = [ref('E1'), ref('probe')];
    const keep = () => {
      words.value = 'compressor';
      return Promise.reject(new Error('the device is full'));
    };
    await expect(handOn([code, words], keep)).rejects.toThrow('the device is full');
    expect([code.value, words.value]).toEqual(['E1', 'compressor']);
  });
});
