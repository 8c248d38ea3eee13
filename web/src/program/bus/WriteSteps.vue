<script setup lang="ts">
import { proxyRefs } from 'vue';
import LineChoice from '../../shared/bus/LineChoice.vue';
import AppButton from '../../shared/ui/AppButton.vue';
import type { WriteSteps } from './useWriteSteps.ts';
import WritePlan from './WritePlan.vue';
import WrittenList from './WrittenList.vue';

/** Reading a control on a line, what writing would change, and what became of it. */
const props = defineProps<{
  steps: WriteSteps;
  /** How many values stand already as planned and are not settled yet. */
  stood: number;
  /** Nothing is read or written on this line, for a reason that stands in the slot `why`. */
  blocked?: boolean;
}>();
const emit = defineEmits<{ write: [atUnit: string]; stands: [] }>();
const { on } = props.steps;
const it = proxyRefs(props.steps);
</script>

<template>
  <LineChoice :on="on">
    <AppButton
      :kind="it.standing ? 'quiet' : 'primary'"
      :disabled="on.isBusy.value || blocked"
      data-test="bus-look"
      @click="it.look"
      >{{ it.standing ? 'Read again' : 'Read what stands there' }}</AppButton
    >
  </LineChoice>
  <slot name="why" />
  <template v-if="it.control && it.told">
    <WrittenList v-if="it.written" :control="it.control" :told="it.told" :written="it.written" />
    <WritePlan
      v-else-if="it.plan && it.standing && !blocked"
      :control="it.control"
      :plan="it.plan"
      :standing="it.standing"
      :told="it.told"
      :unread="it.unread"
      :busy="on.isBusy.value"
      :stood="stood"
      @stands="emit('stands')"
      @write="(atUnit) => emit('write', atUnit)"
    >
      <slot />
    </WritePlan>
  </template>
</template>
