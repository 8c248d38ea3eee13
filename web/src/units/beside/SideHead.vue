<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import LineChoice from '../../shared/bus/LineChoice.vue';
import { localDate } from '../../shared/display/localTime.ts';
import { useControllers } from '../../shared/job/useControllers.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import type { Side } from './useSide.ts';

/** Which unit this side is, where its values are known from, and reading them now. */
const props = defineProps<{ side: Side }>();
const session = useSession();
const { controllers } = useControllers();
const isOpen = ref(false);
const choices = computed(() =>
  controllers.value.filter(({ newest, hash }) => newest || hash === props.side.hash.value),
);
const known = computed(() => props.side.known.value);
const since = computed(() =>
  known.value
    ? known.value.known
        .map((one) => one.since)
        .sort()
        .at(-1)
    : '',
);
function choose(event: Event) {
  props.side.choose((event.target as HTMLSelectElement).value);
}
</script>

<template>
  <div class="flex min-w-0 flex-col gap-1">
    <slot />
    <FormProblem :message="side.problem.value" />
    <template v-if="side.jobs.value">
      <p v-if="side.read.value" data-test="side-source">
        {{ side.control.value?.definition.family }}: {{ side.read.value.found.values.length }} values, read
        now<template v-if="side.read.value.found.unread.length > 0"
          >; {{ side.read.value.found.unread.length }} not read</template
        >
      </p>
      <p v-else-if="known" data-test="side-source">
        {{ known.control.family }}: {{ known.known.length }}
        {{ known.known.length === 1 ? 'value' : 'values' }} known from
        <RouterLink class="link" :to="`/jobs/${known.job.id}`">{{ known.job.title }}</RouterLink>, the last of
        {{ localDate(since ?? '') }}
      </p>
      <p v-else class="text-soft" data-test="side-source">
        Nobody wrote down yet what stands in its control.
      </p>
      <template v-if="session.mayWrite">
        <button
          v-if="!isOpen"
          type="button"
          class="link inline-flex min-h-9 items-center self-start pointer-coarse:min-h-11"
          data-test="side-open"
          @click="isOpen = true"
        >
          Read it now over the bus
        </button>
        <div v-else class="flex flex-col gap-2 border-l-4 border-cold bg-band p-3">
          <label class="flex flex-col gap-1"
            ><span class="field-label">Controller</span>
            <select :value="side.hash.value" data-test="side-control" @change="choose">
              <option value="">not chosen</option>
              <option v-for="one in choices" :key="one.hash" :value="one.hash">
                {{ one.family }} {{ one.version }}
              </option>
            </select></label
          >
          <LineChoice :on="side.on">
            <AppButton
              kind="primary"
              :disabled="side.on.isBusy.value || side.hash.value === ''"
              data-test="side-read"
              @click="side.look"
              >Read all values</AppButton
            >
          </LineChoice>
        </div>
      </template>
    </template>
    <p v-else-if="!side.problem.value" class="text-soft">Loading …</p>
  </div>
</template>
