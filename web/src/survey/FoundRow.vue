<script setup lang="ts">
import { computed } from 'vue';
import { shownUnitOf, type DisplayState, type Parameter } from '@brine/core/controllers/definitions';
import { choiceWords } from '@brine/core/record/handover';
import { unitSymbol } from '@brine/core/foundation/quantities';
import { keypadOf } from '../shared/ui/keypad.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import { useSession } from '../shared/session/sessionStore.ts';

const props = defineProps<{
  code: string;
  parameter: Parameter | null;
  display: DisplayState | null;
  value: string;
  problem: string | null;
}>();
const emit = defineEmits<{ found: [value: string] }>();
const session = useSession();
const { text, settle } = useDraft(() => props.value);
const encoding = computed(() => props.parameter?.encoding ?? null);
const unit = computed(() => {
  if (encoding.value?.type !== 'number' || !props.display) return '';
  const shown = shownUnitOf(encoding.value, props.display);
  return shown === null ? '' : unitSymbol(shown);
});
const options = computed(() =>
  encoding.value?.type === 'choice'
    ? encoding.value.options.map((o) => ({
        value: String(o.value),
        words: choiceWords(props.parameter!, o.value),
      }))
    : null,
);
const isOption = computed(
  () => options.value === null || text.value === '' || options.value.some((o) => o.value === text.value),
);
function take() {
  if (settle() && text.value.trim() !== props.value) emit('found', text.value.trim());
}
</script>

<template>
  <tr :data-found="code">
    <td class="font-mono font-semibold">{{ code }}</td>
    <td>
      {{ parameter?.name ?? 'no code of this controller'
      }}<span v-if="parameter?.note" class="hint block">{{ parameter.note }}</span
      ><span v-if="problem" class="problem block" role="alert">{{ problem }}</span>
    </td>
    <td>
      <select
        v-if="options && isOption"
        v-model="text"
        class="w-full"
        :disabled="!session.mayWrite"
        :aria-label="`${code}, found`"
        @change="take"
      >
        <option value="">not read</option>
        <option v-for="o in options" :key="o.value" :value="o.value">
          {{ o.value }}{{ o.words ? ` · ${o.words}` : '' }}
        </option>
      </select>
      <div v-else class="flex items-center gap-2">
        <input
          v-model="text"
          class="w-20 text-right font-mono"
          :inputmode="keypadOf(encoding)"
          :disabled="!session.mayWrite"
          :aria-label="`${code}, found`"
          :aria-invalid="problem !== null"
          @change="take"
          @keydown.enter="take"
        />
        <span class="text-soft">{{ unit }}</span>
      </div>
    </td>
  </tr>
</template>
