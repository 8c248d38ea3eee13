<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  compareDefinitions,
  type ControllerDefinition,
  type DefinitionChange,
} from '@brine/core/controllers/definitions';
import type { ControllerLine } from '@brine/contract/routes';
import { definitionByHash } from '../shared/job/definitions.ts';

/** The versions of a family, and every difference between this one and another. */
const props = defineProps<{
  definition: ControllerDefinition;
  versions: readonly ControllerLine[];
  hash: string;
}>();
const other = ref('');
const against = computed(() => definitionByHash(other.value || undefined));
const changes = computed(() => (against.value ? compareDefinitions(against.value, props.definition) : null));
const others = computed(() => props.versions.filter((v) => v.hash !== props.hash));
const kinds = { added: 'new', removed: 'gone', changed: 'changed' } as const;
const of = {
  code: '',
  alarm: 'alarm ',
  preset: 'preset ',
  fixed: 'built in: ',
  panel: '',
  other: '',
} as const;
function printed(value: unknown): string {
  if (value === null || value === undefined) return '';
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}
/** A whole parameter or panel is told by its name; its inside stands in the table of codes. */
const shown = (change: DefinitionChange, value: unknown) => {
  if (value === null) return '';
  if (change.field === '' && typeof value === 'object')
    return change.of === 'panel' ? 'works otherwise' : ((value as { name?: string }).name ?? '');
  return printed(value);
};
</script>

<template>
  <section v-if="others.length > 0" aria-label="Versions">
    <label class="flex flex-wrap items-center gap-2"
      >Compare version {{ definition.version ?? '1' }} with
      <select v-model="other" data-test="compare-with">
        <option value="">none</option>
        <option v-for="v in others" :key="v.hash" :value="v.hash">
          {{ v.version }}{{ v.newest ? ', newest' : '' }}
        </option>
      </select>
    </label>
    <p v-if="changes && changes.length === 0" class="mt-2 text-soft">Nothing differs.</p>
    <table v-else-if="changes" class="table-plain mt-2" data-test="changes">
      <thead>
        <tr>
          <th>What</th>
          <th>In version {{ against?.version ?? '1' }}</th>
          <th>In this one</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(change, i) in changes" :key="i">
          <td>
            {{ of[change.of] }}<span class="font-mono font-semibold">{{ change.name }}</span>
            {{ change.field }} <span class="hint">{{ kinds[change.kind] }}</span>
          </td>
          <td class="break-all">{{ shown(change, change.before) }}</td>
          <td class="break-all">{{ shown(change, change.after) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
