<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted } from 'vue';
import type { Machine } from '@brine/core/controllers/panel';
import { isTyping } from '../keys/keyRegistry.ts';
import type { LivePanel } from './useLivePanel.ts';

/** A control's front: display, keys for mouse, touch and keyboard, and what is hidden behind the cover. */
const props = defineProps<{ machine: Machine; live: LivePanel }>();
const keys = computed(() => props.machine.panel.keys.map((key, i) => ({ ...key, digit: String(i + 1) })));
const switches = computed(() => props.machine.panel.switches ?? []);
const text = computed(() => {
  const shown = props.live.display.value;
  if (props.live.state.value.phase === 'off') return '';
  const { seen } = props.live;
  if (shown === 'reading') {
    if (seen.value) return seen.value.reading.replaceAll('−', '-').toUpperCase();
    return props.machine.panel.display?.text ? 'COOLING' : '--.-';
  }
  if (seen.value && showsCoil.value && shown === showsCoil.value)
    return seen.value.coil.replaceAll('−', '-').toUpperCase();
  return shown.replaceAll('−', '-').toUpperCase();
});
/** What the deed that shows the coil puts on the display: with a unit behind it, its temperature. */
const showsCoil = computed(() =>
  props.live.state.value.deeds.at(-1) === 'showCoil'
    ? (props.machine.panel.deeds?.find((deed) => deed.does === 'showCoil')?.shows ?? null)
    : null,
);
/** What lamps on the front would say. */
const signs = computed(() => {
  const { defrost, standby, locked, alarms } = props.live.state.value.condition;
  return [
    alarms.length > 0 && `alarm${alarms.length > 1 ? ` ×${alarms.length}` : ''}`,
    defrost && 'defrost',
    standby && 'standby',
    locked && 'keys locked',
    props.live.seen.value?.relays.compressor && 'compressor',
    props.live.seen.value?.relays.fan && 'fan',
  ].filter(Boolean);
});
const isDown = (id: string) => props.live.down.value.includes(id);

/** A mouse has one finger: with Shift a key stays down until it is clicked again. */
function pointerDown(event: PointerEvent, id: string) {
  if (event.button !== 0) return;
  if (event.shiftKey)
    return isDown(id) ? props.live.keyUp(id, event.timeStamp) : props.live.keyDown(id, event.timeStamp);
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  props.live.keyDown(id, event.timeStamp);
}
function pointerUp(event: PointerEvent, id: string) {
  if (!event.shiftKey) props.live.keyUp(id, event.timeStamp);
}
const byDigit = (event: KeyboardEvent) => keys.value.find((key) => key.digit === event.key);
function keyDown(event: KeyboardEvent) {
  const key = byDigit(event);
  if (!key || event.repeat || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target))
    return;
  event.preventDefault();
  props.live.keyDown(key.id, event.timeStamp);
}
function keyUp(event: KeyboardEvent) {
  const key = byDigit(event);
  if (key) props.live.keyUp(key.id, event.timeStamp);
}
onMounted(() => {
  addEventListener('keydown', keyDown);
  addEventListener('keyup', keyUp);
});
onBeforeUnmount(() => {
  removeEventListener('keydown', keyDown);
  removeEventListener('keyup', keyUp);
});
</script>

<template>
  <div class="mx-auto w-full max-w-md rounded-lg border border-edge bg-[#2a3b3e] p-5" data-test="panel-face">
    <div
      class="flex h-24 items-center justify-center rounded bg-[#101c1e] font-display whitespace-nowrap text-[#ffb347]"
      role="status"
      :class="text.length > 8 ? 'text-[24px]' : 'text-[46px]'"
      :aria-label="`The display shows ${text || 'nothing'}`"
      data-test="panel-display"
    >
      {{ text }}
    </div>
    <p class="mt-1 h-5 text-center text-[13px] text-[#c9d3d4]">
      <template v-if="live.heldSeconds.value > 0">held {{ live.heldSeconds.value }} s</template>
      <template v-else-if="signs.length > 0"
        ><span v-for="sign in signs" :key="String(sign)" class="mx-1.5">● {{ sign }}</span></template
      >
    </p>
    <div class="mt-2 flex flex-wrap justify-center gap-3">
      <button
        v-for="key in keys"
        :key="key.id"
        type="button"
        class="grid min-h-16 min-w-16 touch-none place-items-center rounded-md border border-b-4 border-[#0c1517] bg-[#f3f1ec] px-3 font-semibold text-[#17282b] select-none"
        :class="{ '!border-b !bg-[#d8d3c6]': isDown(key.id) }"
        :data-panel-key="key.id"
        :aria-pressed="isDown(key.id)"
        @pointerdown.prevent="pointerDown($event, key.id)"
        @pointerup="pointerUp($event, key.id)"
        @pointercancel="live.keyUp(key.id)"
        @contextmenu.prevent
      >
        <span>{{ key.label ?? key.id }}</span>
        <span class="text-[13px] font-normal text-[#4d5c5e]"
          >{{ key.digit }}<template v-if="key.hidden">, {{ key.hidden }}</template></span
        >
      </button>
    </div>
    <div class="mt-4 flex flex-wrap items-center justify-center gap-x-5 gap-y-2 text-[14px] text-[#e6ebeb]">
      <button
        type="button"
        class="min-h-9 pointer-coarse:min-h-11 rounded border border-[#8fa0a2] px-3"
        data-test="panel-power"
        @click="live.power(live.state.value.phase === 'off' ? 'on' : 'off')"
      >
        Supply {{ live.state.value.phase === 'off' ? 'on' : 'off' }}
      </button>
      <label v-for="s in switches" :key="s.id" class="flex items-center gap-2">
        {{ s.id }}<template v-if="s.hidden">, {{ s.hidden }}</template>
        <select
          class="!min-h-9 pointer-coarse:!min-h-11 !py-1 text-[14px]"
          :disabled="s.movedWith === 'powerOff' && live.state.value.phase !== 'off'"
          :value="live.state.value.switches.get(s.id)"
          @change="live.moveSwitch(s.id, ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="p in s.positions" :key="p">{{ p }}</option>
        </select>
      </label>
    </div>
  </div>
</template>
