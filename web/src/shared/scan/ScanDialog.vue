<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { openCamera } from '../camera/openCamera.ts';
import { messageOf, request } from '../api/client.ts';
import AppButton from '../ui/AppButton.vue';
import ModalDialog from '../ui/ModalDialog.vue';
import { openCodeReader, type CodeReader } from './codeReader.ts';
import { targetOf } from './codeTarget.ts';

/** The camera looks for the code of a unit and opens the unit. Where there is no camera, a photograph does. */
const emit = defineEmits<{ close: [] }>();
const router = useRouter();
const video = ref<HTMLVideoElement | null>(null);
const stream = shallowRef<MediaStream | null>(null);
/** What was read and leads nowhere. */
const foreign = ref<string | null>(null);
const problem = ref<string | null>(null);
/** Looks a second; a hand that holds still is read at once. */
const LOOKS = 5;
/** A hand feels that it is read. */
const READ_MS = 80;
let reader: CodeReader | null = null;
let open = true;

onMounted(async () => {
  try {
    reader = await openCodeReader();
    if (!open) return stop();
    await look(await camera());
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
});
onBeforeUnmount(stop);

function stop() {
  open = false;
  for (const track of stream.value?.getTracks() ?? []) track.stop();
  reader?.close();
}

async function camera(): Promise<HTMLVideoElement> {
  stream.value = await openCamera('Take or choose a photograph of the code.');
  if (!open) stop();
  video.value!.srcObject = stream.value;
  await video.value!.play();
  return video.value!;
}

async function look(at: HTMLVideoElement) {
  while (open) {
    const text = await reader!.read(await createImageBitmap(at));
    if (text !== null && (await follow(text))) return;
    await new Promise((resolve) => setTimeout(resolve, 1000 / LOOKS));
  }
}

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file || !reader) return;
  problem.value = null;
  try {
    const text = await reader.read(await createImageBitmap(file));
    if (text === null) problem.value = 'No code is seen on this photograph. Go nearer, without glare.';
    else await follow(text);
  } catch (error) {
    problem.value = messageOf(error);
  }
}

/** True once it leads somewhere. */
async function follow(text: string): Promise<boolean> {
  const target = targetOf(text);
  foreign.value = target ? null : text;
  if (!target || !open) return false;
  if (typeof navigator.vibrate === 'function') navigator.vibrate(READ_MS);
  const path = 'unit' in target ? `/units/${target.unit}` : await pathOfShare(target.share);
  emit('close');
  await router.push(path);
  return true;
}

/** Those of the company open the unit; a link that is not theirs, or no signal, leaves the page that anybody may read. */
async function pathOfShare(token: string): Promise<string> {
  try {
    return `/units/${(await request('sharedUnit', { params: { token } })).unitId}`;
  } catch {
    return `/u/${token}`;
  }
}
</script>

<template>
  <ModalDialog :open="true" title="The code of a unit" @close="emit('close')">
    <video
      v-show="stream"
      ref="video"
      class="aspect-[4/3] w-full bg-black object-cover"
      muted
      playsinline
      data-test="scan-video"
    ></video>
    <p v-if="stream" class="mt-2" role="status">
      {{ foreign ? `Read, but no code of a unit: ${foreign.slice(0, 80)}` : 'Hold the code in the picture.' }}
    </p>
    <p v-if="problem" class="mt-2" role="alert" data-test="scan-problem">{{ problem }}</p>
    <div class="mt-4 flex flex-wrap items-center gap-3">
      <label class="link inline-flex min-h-11 cursor-pointer items-center"
        >Take or choose a photograph<input
          type="file"
          accept="image/*"
          class="sr-only"
          data-test="scan-photo"
          @change="choose"
      /></label>
      <span class="flex-1"></span>
      <AppButton @click="emit('close')">Close</AppButton>
    </div>
  </ModalDialog>
</template>
