<script setup lang="ts">
import type { PanelKey } from '@brine/core/controllers/definitions';
import AppButton from '../../shared/ui/AppButton.vue';

/** The keys on the front, as they are printed there. */
const props = defineProps<{ keys: readonly PanelKey[] }>();
const emit = defineEmits<{ change: [keys: readonly PanelKey[]] }>();
const MOST_KEYS = 10;
function add() {
  let n = props.keys.length + 1;
  while (props.keys.some(({ id }) => id === `key${n}`)) n += 1;
  emit('change', [...props.keys, { id: `key${n}`, label: `KEY ${n}` }]);
}
const name = (at: number, label: string) =>
  emit(
    'change',
    props.keys.map((key, i) => (i === at ? { ...key, label: label.trim() || key.id } : key)),
  );
</script>

<template>
  <fieldset>
    <legend class="field-label">Which keys does it have? As they are printed on the front</legend>
    <div class="mt-1 flex flex-wrap items-center gap-3">
      <span v-for="(key, i) in keys" :key="key.id" class="flex items-center gap-1">
        <input
          class="w-24"
          maxlength="12"
          :value="key.label ?? key.id"
          :aria-label="`Key ${i + 1}`"
          @change="name(i, ($event.target as HTMLInputElement).value)"
        />
        <button
          v-if="keys.length > 1"
          type="button"
          class="min-h-11 min-w-9 text-[17px] text-soft hover:text-ink"
          :aria-label="`Remove ${key.label ?? key.id}`"
          @click="
            emit(
              'change',
              keys.filter((_, n) => n !== i),
            )
          "
        >
          ×
        </button>
      </span>
      <AppButton v-if="keys.length < MOST_KEYS" kind="quiet" data-test="add-key" @click="add"
        >Add a key</AppButton
      >
    </div>
  </fieldset>
</template>
