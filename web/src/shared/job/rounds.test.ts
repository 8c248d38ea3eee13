import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { rounds } from './rounds.ts';

describe('work in rounds', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());

  /** Rounds of which each takes 100 ms. */
  function slow() {
    const seen = { begun: 0, atOnce: 0, most: 0 };
    const going = rounds(
      async () => {
        seen.begun += 1;
        seen.atOnce += 1;
        seen.most = Math.max(seen.most, seen.atOnce);
        await new Promise((done) => setTimeout(done, 100));
        seen.atOnce -= 1;
      },
      () => 3000,
    );
    return { seen, going };
  }

  it('begins at once and waits between rounds', async () => {
    const { seen, going } = slow();
    expect(seen.begun).toBe(1);
    await jest.advanceTimersByTimeAsync(3050);
    expect(seen.begun).toBe(1);
    await jest.advanceTimersByTimeAsync(100);
    expect(seen.begun).toBe(2);
    going.stop();
  });

  it('asked for many times during a round, does one more right after, and never two at once', async () => {
    const { seen, going } = slow();
    for (let i = 0; i < 5; i += 1) going.soon();
    await jest.advanceTimersByTimeAsync(101);
    expect(seen.begun).toBe(2);
    await jest.advanceTimersByTimeAsync(1000);
    expect(seen).toEqual({ begun: 2, atOnce: 0, most: 1 });
    // Closed form: a minute later, one each 3.1 s.
    await jest.advanceTimersByTimeAsync(60_000);
    expect(seen.begun).toBe(2 + Math.floor((60_000 + 900) / 3100));
    going.stop();
  });

  it('asked for while it waits, does not wait any longer', async () => {
    const { seen, going } = slow();
    await jest.advanceTimersByTimeAsync(200);
    going.soon();
    await jest.advanceTimersByTimeAsync(1);
    expect(seen.begun).toBe(2);
    going.stop();
  });

  it('stopped, does nothing any more', async () => {
    const { seen, going } = slow();
    going.soon();
    going.stop();
    await jest.advanceTimersByTimeAsync(60_000);
    going.soon();
    await jest.advanceTimersByTimeAsync(60_000);
    expect(seen.begun).toBe(1);
  });
});
