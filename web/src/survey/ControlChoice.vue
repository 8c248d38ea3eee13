<script setup lang="ts">
import { computed } from 'vue';
import NoControllers from '../shared/job/NoControllers.vue';
import { useControllers } from '../shared/job/useControllers.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';

const props = defineProps<{ role: 'old' | 'new' }>();
const job = useJob();
const session = useSession();
const { controllers, problem, isEmpty } = useControllers();
const pin = computed(() => (props.role === 'old' ? job.oldPin.value : job.newPin.value));
const choices = computed(() => controllers.value.filter((c) => c.newest || c.hash === pin.value?.hash));
const chosen = computed(() => controllers.value.find((c) => c.hash === pin.value?.hash));
const label = computed(() => (props.role === 'old' ? 'The old controller' : 'The new controller'));
function choose(event: Event) {
  const hash = (event.target as HTMLSelectElement).value;
  const line = controllers.value.find((c) => c.hash === hash);
  const definition = line
    ? { id: line.id, family: line.family, version: line.version, hash: line.hash }
    : null;
  void job.write({ kind: 'control', role: props.role, definition });
}
</script>

<template>
  <div class="flex flex-col gap-1">
    <label :for="`control-${role}`" class="field-label">{{ label }}</label>
    <select
      :id="`control-${role}`"
      class="max-w-sm"
      :disabled="!session.mayWrite"
      :value="pin?.hash ?? ''"
      :data-test="`control-${role}`"
      @change="choose"
    >
      <option value="">not chosen</option>
      <option v-if="pin && !chosen" :value="pin.hash">{{ pin.family }} {{ pin.version }}</option>
      <option v-for="c in choices" :key="c.hash" :value="c.hash">{{ c.family }} {{ c.version }}</option>
    </select>
    <p v-if="chosen" class="hint">{{ chosen.summary }}</p>
    <NoControllers v-if="isEmpty && role === 'new'" class="text-[14px]" />
    <p v-if="problem" class="problem">{{ problem }}</p>
  </div>
</template>
