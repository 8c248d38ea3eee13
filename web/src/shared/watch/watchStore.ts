import { computed, ref, shallowRef } from 'vue';
import { defineStore } from 'pinia';
import { useWakeLock } from '@vueuse/core';
import { numberOf } from '@brine/core/watching/characters';
import type { LampState } from '@brine/core/watching/course';
import { openCamera } from '../camera/openCamera.ts';
import { newId } from '../outbox/identity.ts';

import type { WatchAnswer, WatchRequest } from './watchMessages.ts';
import { sightId, type Sight } from './watchWords.ts';

/** Pictures a second at most; the next is taken once the last is read. */
const RATE = 10;
/** Size at which pictures are taken. */
const WIDTH = 480;
/** A row of the log at least this often, in seconds, while a number stands. */
const ROW_EVERY = 10;
const MAX_ROWS = 50_000;
const MAX_TEXTS = 2_000;

/** Something that was seen, at a moment of the clock in milliseconds. */
interface SeenAt {
  readonly sight: Sight;
  readonly at: number;
}

/** A lamp on the front, named by whoever touched it. */
interface WatchedLamp {
  readonly id: string;
  readonly name: string;
  readonly is: LampState['is'];
}

/** The phone before a display: camera, worker, and what was read, for one job; it goes on from page to page. Nothing of it leaves the device but what somebody keeps. */
export const useWatch = defineStore('watch', () => {
  const job = ref<string | null>(null);
  const state = ref<'off' | 'starting' | 'on'>('off');
  const problem = ref<string | null>(null);
  const answer = shallowRef<WatchAnswer | null>(null);
  const zoom = ref<1 | 2>(1);
  const lamps = ref<readonly WatchedLamp[]>([]);
  /** Who waits for a sight: two may come with one picture. */
  const waiting = new Set<(seen: SeenAt) => void>();
  const texts = ref<readonly { readonly text: string; readonly at: number }[]>([]);
  const rows = shallowRef<readonly { readonly at: number; readonly value: number }[]>([]);
  const picture = document.createElement('canvas');
  const { isSupported, request: keepAwake, release } = useWakeLock();
  let stream: MediaStream | null = null;
  let worker: Worker | null = null;
  let video: HTMLVideoElement | null = null;
  let turn = 0;

  const text = computed(() => answer.value?.text ?? null);
  const value = computed(() => (text.value === null ? null : numberOf(text.value)));

  async function start(of: string): Promise<void> {
    if (state.value !== 'off' && job.value === of) return;
    stop();
    if (job.value !== of) forget();
    job.value = of;
    problem.value = null;
    state.value = 'starting';
    turn += 1;
    const mine = turn;
    try {
      const opened = await openCamera();
      if (turn !== mine) return opened.getTracks().forEach((track) => track.stop());
      stream = opened;
      video = document.createElement('video');
      video.muted = true;
      video.playsInline = true;
      video.srcObject = opened;
      await video.play();
      worker = new Worker(new URL('./watch.worker.ts', import.meta.url), { type: 'module', name: 'watch' });
      worker.onmessage = ({ data }: MessageEvent<WatchAnswer>) => take(data, mine);
      worker.onerror = () => {
        problem.value = 'The reader of displays does not start in this browser.';
        stop();
      };
      opened.getVideoTracks()[0]?.addEventListener('ended', () => {
        problem.value = 'The camera was taken away. Start it again.';
        stop();
      });
      state.value = 'on';
      if (isSupported.value) void keepAwake('screen').catch(() => undefined);
      look(mine);
    } catch (error) {
      if (turn !== mine) return;
      problem.value = error instanceof Error ? error.message : String(error);
      stop();
    }
  }

  function stop(): void {
    turn += 1;
    for (const track of stream?.getTracks() ?? []) track.stop();
    worker?.terminate();
    [stream, worker, video] = [null, null, null];
    answer.value = null;
    lamps.value = [];
    state.value = 'off';
    if (isSupported.value) void release().catch(() => undefined);
  }

  function forget(): void {
    texts.value = [];
    rows.value = [];
  }

  function look(mine: number): void {
    if (turn !== mine || !video || !worker) return;
    const { videoWidth, videoHeight } = video;
    if (videoWidth === 0) return void setTimeout(() => look(mine), 100);
    const [partX, partY] = [videoWidth / zoom.value, videoHeight / zoom.value];
    picture.width = Math.min(WIDTH, Math.round(partX));
    picture.height = Math.round((picture.width * partY) / partX);
    const context = picture.getContext('2d', { willReadFrequently: true })!;
    context.drawImage(
      video,
      (videoWidth - partX) / 2,
      (videoHeight - partY) / 2,
      partX,
      partY,
      0,
      0,
      picture.width,
      picture.height,
    );
    const { width, height, data } = context.getImageData(0, 0, picture.width, picture.height);
    post({ kind: 'picture', at: performance.now() / 1000, width, height, data }, [data.buffer]);
  }

  const post = (request: WatchRequest, transfer: Transferable[] = []) =>
    worker?.postMessage(request, transfer);
  const clockOf = (at: number) => performance.timeOrigin + at * 1000;

  function take(got: WatchAnswer, mine: number): void {
    if (turn !== mine) return;
    answer.value = got;
    if (got.changed) {
      const at = clockOf(got.changed.since);
      texts.value = [...texts.value.slice(-MAX_TEXTS), { text: got.changed.text, at }];
      tell({ sight: { kind: 'text', text: got.changed.text }, at });
    }
    for (const { id, is, since } of got.lamps) {
      lamps.value = lamps.value.map((lamp) => (lamp.id === id ? { ...lamp, is } : lamp));
      if (is !== 'notRead') tell({ sight: { kind: 'lamp', lamp: id, is }, at: clockOf(since) });
    }
    addRow(got);
    const spent = performance.now() - got.at * 1000;
    setTimeout(() => look(mine), Math.max(0, 1000 / RATE - spent));
  }

  function addRow(got: WatchAnswer): void {
    const number = got.text === null ? null : numberOf(got.text);
    const before = rows.value.at(-1);
    const at = clockOf(got.at);
    if (number === null || rows.value.length >= MAX_ROWS) return;
    if (before && at - before.at < ROW_EVERY * 1000) return;
    rows.value = [...rows.value, { at, value: number }];
  }

  function addLamp(x: number, y: number, name: string): void {
    const id = newId();
    lamps.value = [...lamps.value, { id, name, is: 'notRead' }];
    post({ kind: 'lamp', id, x, y, at: performance.now() / 1000 });
  }
  const nameLamp = (id: string, name: string) =>
    (lamps.value = lamps.value.map((lamp) => (lamp.id === id ? { ...lamp, name } : lamp)));
  function removeLamp(id: string): void {
    lamps.value = lamps.value.filter((lamp) => lamp.id !== id);
    post({ kind: 'noLamp', id });
  }

  const tell = (seen: SeenAt) => [...waiting].forEach((one) => one(seen));

  /** Calls once when a sight comes, with the moment; returns what calls it off. */
  function onSight(wanted: Sight, then: (at: number) => void): () => void {
    const one = ({ sight, at }: SeenAt) => {
      const matches = wanted.kind === 'change' ? sight.kind === 'text' : sightId(sight) === sightId(wanted);
      if (!matches) return;
      waiting.delete(one);
      then(at);
    };
    waiting.add(one);
    return () => waiting.delete(one);
  }

  return {
    job,
    state,
    problem,
    answer,
    zoom,
    lamps,
    texts,
    rows,
    picture,
    text,
    value,
    start,
    stop,
    forget,
    addLamp,
    nameLamp,
    removeLamp,
    onSight,
  };
});
