<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { useWakeLock } from '@vueuse/core';
import { Settings2, X } from '@lucide/vue';
import { useDisplay } from '../display/displayStore.ts';
import ModalDialog from '../ui/ModalDialog.vue';
import { useCabinetOptions } from './useCabinetOptions.ts';
import { canSpeak } from './voice.ts';
import WatchPanel from '../watch/WatchPanel.vue';
import { useWatch } from '../watch/watchStore.ts';

/** Nothing but the present code: what to do above, the answer in the lower half, under the thumb. */
defineProps<{
  label: string;
  unit: string;
  place: string;
  ticks: readonly { readonly id: string; readonly look: string }[];
}>();
defineEmits<{ close: [] }>();
const display = useDisplay();
const watching = useWatch();
// Here the menu is open: what stands there are values of codes.
onMounted(() => (watching.inMenu = true));
onBeforeUnmount(() => (watching.inMenu = false));
const options = useCabinetOptions();
const { isSupported, request } = useWakeLock();
const open = ref(false);
const frame = ref<HTMLElement | null>(null);
/** The page behind is neither seen nor pressed: keys begin here. */
const behind = document.querySelector<HTMLElement>('#app');
onMounted(() => {
  if (behind) behind.inert = true;
  frame.value?.focus();
});
onBeforeUnmount(() => behind && (behind.inert = false));
const left = computed(() => options.value.hand === 'left');
onMounted(() => void (isSupported.value && request('screen').catch(() => undefined)));
</script>

<template>
  <Teleport to="body">
    <section
      ref="frame"
      tabindex="-1"
      class="fixed inset-0 z-40 flex flex-col bg-paper text-ink outline-none"
      role="dialog"
      aria-modal="true"
      :aria-label="label"
      data-test="cabinet-mode"
    >
      <header class="flex shrink-0 items-center gap-2 px-3 pt-1 sm:px-6">
        <button
          type="button"
          class="grid size-11 place-items-center"
          aria-label="Leave cabinet mode"
          @click="$emit('close')"
        >
          <X :size="22" />
        </button>
        <p class="min-w-0 flex-1 truncate font-head text-[16px] font-medium">{{ unit }}</p>
        <p class="font-head text-[16px] font-semibold whitespace-nowrap" data-test="place">{{ place }}</p>
        <button
          type="button"
          class="grid size-11 place-items-center"
          aria-label="Hand, light, sound, reading aloud"
          data-test="cabinet-options"
          @click="open = true"
        >
          <Settings2 :size="20" />
        </button>
      </header>
      <div class="flex shrink-0 gap-[3px] px-4 sm:px-7" aria-hidden="true">
        <span v-for="tick in ticks" :key="tick.id" class="h-1.5 flex-1" :class="tick.look"></span>
      </div>
      <WatchPanel v-if="watching.state !== 'off'" class="mt-1" />
      <div class="min-h-0 flex-1 overflow-auto px-4 pt-3 pb-2 sm:mx-auto sm:w-full sm:max-w-3xl sm:px-7">
        <slot />
      </div>
      <div class="shrink-0 sm:mx-auto sm:w-full sm:max-w-3xl"><slot name="display" /></div>
      <footer
        v-if="$slots['main']"
        class="grid h-[30vh] max-h-[330px] min-h-[190px] shrink-0 sm:mx-auto sm:w-full sm:max-w-3xl"
        :class="left ? 'grid-cols-[minmax(0,2fr)_minmax(0,1fr)]' : 'grid-cols-[minmax(0,1fr)_minmax(0,2fr)]'"
      >
        <div class="flex flex-col" :class="{ 'order-last': left }"><slot name="side" /></div>
        <slot name="main" />
      </footer>
      <ModalDialog :open="open" title="Cabinet mode" @close="open = false">
        <div class="flex flex-col gap-1 text-[17px]">
          <label class="option"
            ><input v-model="options.hand" type="radio" value="right" /> Answer under the right thumb</label
          >
          <label class="option"
            ><input v-model="options.hand" type="radio" value="left" /> Answer under the left thumb</label
          >
          <hr class="my-1 border-hairline" />
          <label v-for="(name, id) in display.themeNames" :key="id" class="option"
            ><input v-model="display.themeChoice" type="radio" :value="id" /> {{ name }}</label
          >
          <hr class="my-1 border-hairline" />
          <label class="option"
            ><input v-model="options.sound" type="checkbox" /> Tone and buzz when the menu closes or a time is
            over</label
          >
          <label class="option" :class="{ 'text-soft': !canSpeak() }"
            ><input v-model="options.aloud" type="checkbox" :disabled="!canSpeak()" /> Read the strokes
            aloud{{ canSpeak() ? '' : ': this device has no voice of its own' }}</label
          >
        </div>
      </ModalDialog>
    </section>
  </Teleport>
</template>

<style scoped>
.option {
  display: flex;
  min-height: 48px;
  align-items: center;
  gap: 12px;
}
</style>
