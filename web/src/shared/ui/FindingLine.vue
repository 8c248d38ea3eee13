<script setup lang="ts">
import { computed } from 'vue';

/** One thing that was found: how grave in a word and an edge, then what it is; what may be done about it in the slot. */
const props = defineProps<{
  severity: 'error' | 'warning' | 'note';
  code: string;
  message: string;
  /** Of what has been, not of what will be. */
  past?: boolean;
}>();
const word = computed(
  () =>
    ({
      error: props.past ? 'Wrong' : 'Will go wrong',
      warning: 'Check this',
      note: props.past ? 'Note' : 'Unusual',
    })[props.severity],
);
const look = computed(
  () =>
    ({
      error: 'border-alarm bg-alarm-wash',
      warning: 'border-amber bg-amber-wash',
      note: 'border-hairline bg-band',
    })[props.severity],
);
</script>

<template>
  <li class="border-l-4 px-3 py-2 text-[14.5px]" :class="look" :data-code="code">
    <strong class="font-semibold">{{ word }}. </strong>{{ message }}<slot />
  </li>
</template>
