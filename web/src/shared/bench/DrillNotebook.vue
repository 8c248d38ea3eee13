<script setup lang="ts">
import { ref } from 'vue';
import type { Notebook } from '@brine/core/practice/drills';
import AppButton from '../ui/AppButton.vue';

/** Where alarm codes are written down before they are cleared. */
defineProps<{ notebook: Notebook; closed: boolean }>();
const emit = defineEmits<{ write: [code: string]; strike: [code: string] }>();
const typed = ref('');
function write() {
  emit('write', typed.value);
  typed.value = '';
}
</script>

<template>
  <div data-test="drill-notebook">
    <form v-if="!closed" class="flex flex-wrap items-end gap-2" @submit.prevent="write">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Alarm code, as the display shows it</span>
        <input v-model="typed" class="w-full font-mono" autocomplete="off" />
      </label>
      <AppButton type="submit">Write down</AppButton>
    </form>
    <ul v-if="notebook.written.length > 0" class="mt-2 flex flex-wrap gap-2">
      <li
        v-for="code in notebook.written"
        :key="code"
        class="flex items-center gap-2 border border-hairline bg-band px-2 py-1 font-mono"
      >
        {{ code }}
        <button
          v-if="!closed"
          type="button"
          class="link font-sans text-[13px]"
          :aria-label="`strike out ${code}`"
          @click="emit('strike', code)"
        >
          strike out
        </button>
      </li>
    </ul>
  </div>
</template>
