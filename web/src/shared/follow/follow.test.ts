import { describe, expect, test } from '@jest/globals';
import { readWholeLog } from '@brine/core/logs/reading';
import type { FollowedPoint } from '@brine/core/judgement/following';
import { measuredRun } from '../strip/measuredRun.ts';
import { followedCsv, followedLog } from './followedFiles.ts';
import { followingOf } from './following.ts';

const began = Date.parse('2026-03-02T09:00:00Z') / 1000;
const points: readonly FollowedPoint[] = [
  { at: began, readings: { air: 3.5, coil: null, compressor: true, alarm: false } },
  { at: began + 1, readings: null },
  { at: began + 2, readings: { air: 3.4, coil: -1.2, compressor: false, alarm: false } },
];

describe('what a control told over its bus', () => {
  test('is a file that the reader of loggers’ files reads by itself', () => {
    const csv = followedCsv(points);
    const read = readWholeLog(csv);
    if ('problem' in read) throw new Error(String(read.message));
    expect([...read.log.values.air!]).toEqual([3.5, 3.4]);
    expect([...read.log.values.coil!]).toEqual([Number.NaN, -1.2]);
    expect([...read.log.values.compressor!]).toEqual([1, 0]);
    expect(read.log.time[1]! - read.log.time[0]!).toBe(2);
    expect(read.log.values.fan).toBeUndefined();
  });

  test('is drawn where it was told, and nowhere else', () => {
    const drawn = (told: readonly FollowedPoint[]) => measuredRun(followedLog(told), began, 40, 1, 15).series;
    const series = drawn(points);
    expect(series.map(({ air }) => air).slice(0, 4)).toEqual([3.5, Number.NaN, 3.4, 3.4]);
    expect(series[0]).toMatchObject({ compressor: true, defrost: false });
    expect(series.at(-1)!.air).toBeNaN();
    // A compressor that ran as the last answer came is not drawn as running for ever.
    const running = drawn(points.slice(0, 1));
    expect(running.findIndex(({ compressor }) => !compressor)).toBe(16);
  });
});

describe('a following that is looked at', () => {
  const told = (at: string) => ({ at, readings: { air: 3 } });
  /** A server with one following of two points; each answer waits until it is let go. */
  function server() {
    const held: (() => void)[] = [];
    const fetch = async (address: string | URL) => {
      await new Promise<void>((go) => held.push(go));
      const url = new URL(String(address), 'http://localhost');
      const after = url.searchParams.get('after') ?? '';
      const all = [told('2026-03-02T09:00:00.000Z'), told('2026-03-02T09:00:01.000Z')];
      const json = url.pathname.endsWith('/follow')
        ? { follows: [{ work: { id: 'f', state: 'running' }, line: 'l', device: 1, every: 1 }] }
        : { points: all.filter(({ at }) => at > after), more: false };
      return { ok: true, status: 200, json: async () => json };
    };
    Object.assign(globalThis, { fetch });
    const rest = () => new Promise((done) => setTimeout(done, 0));
    return {
      letGo: async () => {
        for (let i = 0; i < 20; i += 1) {
          held.splice(0).forEach((go) => go());
          await rest();
        }
      },
      rest,
    };
  }

  test('takes each point once, however often it is asked to look while answers are on their way', async () => {
    const { letGo, rest } = server();
    const following = followingOf('job');
    const detach = following.attach();
    await rest();
    following.lookNow();
    following.lookNow();
    await letGo();
    expect(following.points.value.map(({ at }) => at - began)).toEqual([0, 1]);
    expect([following.isOn.value, following.problem.value]).toEqual([true, null]);
    detach();
  });

  test('adds nothing once nobody looks any more', async () => {
    const { letGo, rest } = server();
    const following = followingOf('job');
    const detach = following.attach();
    await rest();
    detach();
    await letGo();
    expect(following.points.value).toEqual([]);
  });
});
