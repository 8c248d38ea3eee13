<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { request, messageOf } from '../shared/api/client.ts';
import { useControllers } from '../shared/job/useControllers.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import { idOf, type LiveWriting } from './useWriting.ts';

/** Name and version, what is still in the way, and saving to the library. */
const props = defineProps<{ live: LiveWriting }>();
const emit = defineEmits<{ saved: [] }>();
const router = useRouter();
const { controllers, reload } = useControllers();
const problem = ref<string | null>(null);
const saving = ref(false);
const family = computed(() => props.live.writing.value.family.trim());
const versions = computed(() =>
  controllers.value.filter((c) => c.id === idOf(family.value)).map((c) => c.version),
);
const taken = computed(() => versions.value.includes(props.live.writing.value.version.trim() || '1'));
const inTheWay = computed(() => {
  const { open } = props.live.draft.value;
  return [
    ...(family.value === '' ? ['Give the controller a name.'] : []),
    ...(props.live.draft.value.definition.parameters.length === 0
      ? ['Paste the booklet’s table first.']
      : []),
    ...open
      .slice(0, 8)
      .map(
        (o) =>
          `Line ${o.line}${o.code ? `, ${o.code}` : ''}: ${o.message}. Put it right, or leave the row out.`,
      ),
    ...(open.length > 8 ? [`and ${open.length - 8} rows more.`] : []),
    ...props.live.connections.value.problems.map((problem) => `${problem}.`),
    ...props.live.preset.value.problems.map((problem) => `${problem}.`),
    ...props.live.registers.value.problems.map((problem) => `${problem}.`),
    ...(props.live.panel.value === null
      ? ['The keys that were shown make no panel yet: see Keys, or pick a pattern.']
      : []),
    ...props.live.faults.value.slice(0, 8).map((f) => `${placeOfFault(f.path)}: ${f.message}.`),
    ...(taken.value
      ? [
          `Version ${props.live.writing.value.version} of ${family.value} is in the library; give this one another.`,
        ]
      : []),
  ];
});

/** Where a fault is: a register by the line of the booklet, else the path in the definition. */
function placeOfFault(path: string): string {
  const at = /^\$\.registers\[(\d+)\]/.exec(path)?.[1];
  const rows = props.live.registers.value.rows.filter(({ register }) => register !== null);
  const line = at === undefined ? undefined : rows[Number(at)]?.printed.line;
  return line === undefined ? path : `Registers, line ${line}`;
}

/** What was decided on the rows, for the company's next booklet. */
function decisions() {
  return props.live.used.value
    .filter((row) => row.description !== '' && (row.setting !== null || row.decided))
    .map((row) => ({ description: row.description.slice(0, 300), setting: row.setting }))
    .slice(0, 500);
}

async function save() {
  if (saving.value || inTheWay.value.length > 0) return;
  saving.value = true;
  problem.value = null;
  try {
    const { controller } = await request('addController', {
      body: { definition: props.live.definition.value },
    });
    // The definition is safe by now; a lost lesson costs a suggestion, not the work.
    await request('learnMeanings', { body: { choices: decisions() } }).catch(() => undefined);
    await reload();
    props.live.startAnew();
    emit('saved');
    await router.push(`/controls/${controller.hash}`);
  } catch (error) {
    problem.value = messageOf(error);
  } finally {
    saving.value = false;
  }
}
</script>

<template>
  <section aria-label="Save">
    <div class="flex flex-wrap gap-4">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Family</span>
        <input
          class="w-56"
          maxlength="80"
          :value="live.writing.value.family"
          data-test="family-name"
          @input="live.change({ family: ($event.target as HTMLInputElement).value })"
        />
      </label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Version</span>
        <input
          class="w-24"
          maxlength="20"
          :value="live.writing.value.version"
          data-test="family-version"
          @input="live.change({ version: ($event.target as HTMLInputElement).value })"
        />
      </label>
      <label class="flex min-w-64 flex-1 flex-col gap-1"
        ><span class="field-label">In one sentence</span>
        <input
          maxlength="300"
          :value="live.writing.value.summary"
          @input="live.change({ summary: ($event.target as HTMLInputElement).value })"
        />
      </label>
    </div>
    <p v-if="versions.length > 0 && !taken" class="hint mt-2">
      {{ family }} is in the library as version {{ versions.join(', ') }}; sheets made with those keep them.
    </p>
    <ul
      v-if="inTheWay.length > 0"
      class="mt-3 border-l-4 border-amber bg-amber-wash px-3 py-2"
      data-test="in-the-way"
    >
      <li v-for="line in inTheWay" :key="line">{{ line }}</li>
    </ul>
    <FormProblem class="mt-3" :message="problem" />
    <div class="mt-3 flex gap-3">
      <AppButton
        kind="primary"
        :disabled="saving || inTheWay.length > 0"
        data-test="save-definition"
        @click="save"
        >Save to the library</AppButton
      >
    </div>
  </section>
</template>
