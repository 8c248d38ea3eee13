import { computed, ref, shallowRef } from 'vue';
import { defineStore } from 'pinia';
import { useWakeLock } from '@vueuse/core';
import { openCamera } from '../camera/openCamera.ts';
import { newId } from '../outbox/identity.ts';
import { seenSoFar } from './seenSoFar.ts';
import { WATCHED_WIDTH, type WatchAnswer, type WatchRequest } from './watchMessages.ts';

/** Pictures a second at most; the next is taken once the last is read. */
const RATE = 10;

/** The phone before a display: camera, worker, and what was read, for one job; it goes on from page to page. Nothing of it leaves the device but what somebody keeps. */
export const useWatch = defineStore('watch', () => {
  const job = ref<string | null>(null);
  const state = ref<'off' | 'starting' | 'on'>('off');
  const problem = ref<string | null>(null);
  const answer = shallowRef<WatchAnswer | null>(null);
  const zoom = ref<1 | 2>(1);
  const seen = seenSoFar((at) => performance.timeOrigin + at * 1000);
  const { lamps, texts, rows, inMenu, onSight, forget } = seen;
  const picture = document.createElement('canvas');
  const { isSupported, request: keepAwake, release } = useWakeLock();
  let stream: MediaStream | null = null;
  let worker: Worker | null = null;
  let video: HTMLVideoElement | null = null;
  let turn = 0;

  const text = computed(() => answer.value?.text ?? null);

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

  function look(mine: number): void {
    if (turn !== mine || !video || !worker) return;
    const { videoWidth, videoHeight } = video;
    if (videoWidth === 0) return void setTimeout(() => look(mine), 100);
    const [partX, partY] = [videoWidth / zoom.value, videoHeight / zoom.value];
    picture.width = Math.min(WATCHED_WIDTH, Math.round(partX));
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
  function take(got: WatchAnswer, mine: number): void {
    if (turn !== mine) return;
    answer.value = got;
    seen.take(got);
    const spent = performance.now() - got.at * 1000;
    setTimeout(() => look(mine), Math.max(0, 1000 / RATE - spent));
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

  return {
    job,
    state,
    problem,
    answer,
    zoom,
    lamps,
    texts,
    rows,
    inMenu,
    picture,
    text,
    start,
    stop,
    addLamp,
    nameLamp,
    removeLamp,
    onSight,
  };
});
