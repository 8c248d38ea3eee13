<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { standing } from '@brine/core/record/fold';
import { mustNotStay } from '@brine/core/record/openWork';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import AppButton from '../shared/ui/AppButton.vue';

/** Name and drawn signature of who takes it over. */
const job = useJob();
const session = useSession();
const signed = computed(() => standing(job.state.value, 'signOff', 'signOff'));
const { text: name, settle } = useDraft(() => signed.value?.name ?? '', `sign-off:${job.id}`);
// Shallow: what is written to the device must be plain.
const strokes = shallowRef<number[][]>([]);
const drawing = ref(false);
const pad = ref<SVGSVGElement | null>(null);
/** Points closer than this to the one before add nothing. */
const STEP = 0.006;
const shown = computed<readonly (readonly number[])[]>(() =>
  strokes.value.length > 0 ? strokes.value : (signed.value?.strokes ?? []),
);
const path = (stroke: readonly number[]) =>
  Array.from(
    { length: stroke.length / 2 },
    (_, i) => `${i === 0 ? 'M' : 'L'}${stroke[2 * i]! * 300} ${stroke[2 * i + 1]! * 90}`,
  ).join('');
function place(event: PointerEvent): [number, number] {
  const box = pad.value!.getBoundingClientRect();
  const inside = (n: number) => Math.round(Math.min(1, Math.max(0, n)) * 1000) / 1000;
  return [inside((event.clientX - box.left) / box.width), inside((event.clientY - box.top) / box.height)];
}
function begin(event: PointerEvent) {
  if (!session.mayWrite) return;
  pad.value!.setPointerCapture(event.pointerId);
  drawing.value = true;
  strokes.value = [...strokes.value, place(event)];
}
function move(event: PointerEvent) {
  if (!drawing.value) return;
  const stroke = strokes.value.at(-1)!;
  const [x, y] = place(event);
  if (Math.hypot(x - stroke.at(-2)!, y - stroke.at(-1)!) < STEP) return;
  strokes.value = [...strokes.value.slice(0, -1), [...stroke, x, y]];
}
async function sign() {
  await job.write({ kind: 'signOff', name: name.value.trim(), strokes: shown.value });
  settle();
  strokes.value = [];
}
async function takeBack() {
  strokes.value = [];
  await job.write({ kind: 'signOff', name: '', strokes: [] });
}
/** Nobody signs for a unit on which something is borrowed. */
const isOut = computed(() => job.work.value.items.some(({ kind }) => mustNotStay.has(kind)));
const canSign = computed(() => !isOut.value && name.value.trim() !== '' && shown.value.length > 0);
</script>

<template>
  <section aria-label="Sign-off" data-test="sign-off">
    <h3>Sign-off</h3>
    <div class="mt-1 flex flex-col gap-1">
      <label for="signer" class="field-label">Name</label
      ><input id="signer" v-model="name" maxlength="200" :disabled="!session.mayWrite" data-test="signer" />
    </div>
    <svg
      ref="pad"
      viewBox="0 0 300 90"
      class="mt-2 w-full max-w-[22rem] touch-none border border-edge bg-sheet"
      role="img"
      aria-label="Field for the signature"
      data-test="signature"
      @pointerdown="begin"
      @pointermove="move"
      @pointerup="drawing = false"
      @pointercancel="drawing = false"
    >
      <line x1="14" x2="286" y1="74" y2="74" stroke="var(--color-hairline)" />
      <text v-if="shown.length === 0" x="14" y="68" class="fill-soft text-[11px]">
        sign here, with a finger or the mouse
      </text>
      <path
        v-for="(stroke, i) in shown"
        :key="i"
        :d="path(stroke)"
        fill="none"
        stroke="var(--color-ink)"
        stroke-width="2"
        stroke-linecap="round"
        stroke-linejoin="round"
      />
    </svg>
    <p v-if="isOut" class="problem mt-1" data-test="sign-borrowed">
      Something is borrowed for a proof: put it back and read it back first.
    </p>
    <div v-if="session.mayWrite" class="mt-2 flex flex-wrap items-center gap-2">
      <AppButton :disabled="!canSign" data-test="sign" @click="sign">Sign</AppButton>
      <AppButton kind="quiet" @click="signed?.name ? takeBack() : (strokes = [])">Clear</AppButton>
      <span v-if="signed?.name && strokes.length === 0" class="text-good" data-test="signed"
        >✓ signed by {{ signed.name }}</span
      >
    </div>
  </section>
</template>
