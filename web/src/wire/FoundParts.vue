<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { nameOf, wiresWithout, type Part } from '@brine/core/wiring/circuit';
import { parseNumber } from '@brine/core/foundation/quantities';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';
import { handOn } from '../shared/ui/handOn.ts';
import { partWords } from './diagram.ts';
import { freePartId, partKinds } from './partKinds.ts';

defineProps<{ editable: boolean }>();
const job = useJob();
const parts = computed(() => job.wiring.value.parts);
const kind = ref('fuse');
const name = ref('');
const typed = reactive<Record<string, string>>({});
const fields = () =>
  Object.keys(typed).map((key) =>
    computed({ get: () => typed[key] ?? '', set: (text) => (typed[key] = text) }),
  );
const chosen = computed(() => partKinds.find((k) => k.id === kind.value)!);
const numbers = computed(() =>
  Object.fromEntries(
    chosen.value.fields.flatMap((f) => {
      const value = parseNumber(typed[f.id] ?? '');
      return value === null ? [] : [[f.id, value]];
    }),
  ),
);
const wrong = computed(() =>
  chosen.value.fields.filter((f) => {
    const text = (typed[f.id] ?? '').trim();
    return text === '' ? f.needed : !((numbers.value[f.id] ?? 0) > 0);
  }),
);
const tried = ref(false);
async function add() {
  tried.value = true;
  if (wrong.value.length > 0) return;
  const id = freePartId(chosen.value.base, [
    ...parts.value.map((p) => p.id),
    ...job.wiring.value.supplies.map((s) => s.id),
  ]);
  const part = chosen.value.build(id, name.value.trim() || chosen.value.name, numbers.value);
  tried.value = false;
  await handOn([name, ...fields()], () => job.write({ kind: 'foundPart', id, part }));
}
/** Its wires go with it, or lead past it where it stood in series. */
function remove(part: Part) {
  const { gone, joined } = wiresWithout(part, job.wiring.value.wires);
  return job.write(
    { kind: 'foundPart', id: part.id, part: null },
    ...gone.map((id) => ({ kind: 'foundWire' as const, id, wire: null })),
    ...(joined ? [{ kind: 'foundWire' as const, ...joined }] : []),
  );
}
</script>

<template>
  <section aria-label="Parts as found">
    <h3>{{ parts.length }} parts in the cabinet</h3>
    <ul class="mt-1 grid border-t border-ink sm:grid-cols-2 sm:gap-x-6">
      <li
        v-for="part in parts"
        :key="part.id"
        class="flex items-center gap-3 border-b border-hairline py-1.5"
        :data-found-part="part.id"
      >
        <span class="w-11 shrink-0 font-mono text-[13px] font-semibold">{{ part.id }}</span>
        <span class="min-w-0 flex-1"
          >{{ nameOf(part.what) }} <span class="hint">{{ partWords(part.what) }}</span></span
        >
        <AppButton
          v-if="editable"
          kind="quiet"
          class="!px-1.5"
          :aria-label="`Remove: ${nameOf(part.what)}`"
          @click="remove(part.what)"
          >Remove</AppButton
        >
      </li>
    </ul>
    <form
      v-if="editable"
      class="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2"
      aria-label="Add a part"
      data-test="add-part"
      @submit.prevent="add"
    >
      <label class="flex flex-col gap-0.5"
        ><span class="field-label">Add</span>
        <select v-model="kind" data-test="part-kind">
          <option v-for="k in partKinds" :key="k.id" :value="k.id">{{ k.name }}</option>
        </select></label
      >
      <label class="flex flex-col gap-0.5"
        ><span class="field-label">Called</span
        ><input v-model="name" class="w-44" maxlength="60" :placeholder="chosen.name"
      /></label>
      <label v-for="field in chosen.fields" :key="field.id" class="flex flex-col gap-0.5"
        ><span class="field-label">{{ field.label }}</span
        ><input
          v-model="typed[field.id]"
          class="w-24 text-right font-mono"
          inputmode="decimal"
          :aria-invalid="tried && wrong.includes(field)"
      /></label>
      <AppButton type="submit" kind="primary">Add this part</AppButton>
      <p v-if="chosen.usualWatts" class="hint w-full">
        Watts or amps from the plate; where nobody knows, {{ chosen.usualWatts }} W are taken, as usual for
        it.
      </p>
      <p v-if="tried && wrong.length > 0" class="problem w-full" role="alert">
        Expected a number above 0 in {{ wrong.map((f) => f.label).join(', ') }}
      </p>
    </form>
  </section>
</template>
