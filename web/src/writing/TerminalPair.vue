<script setup lang="ts">
/** The two terminals of a supply, a probe or a contact, as they are marked on the control. */
const props = defineProps<{ pair: readonly [string, string] }>();
const emit = defineEmits<{ change: [pair: [string, string]] }>();
const set = (end: 0 | 1, event: Event) => {
  const marked = (event.target as HTMLInputElement).value;
  emit('change', end === 0 ? [marked, props.pair[1]] : [props.pair[0], marked]);
};
</script>

<template>
  <label v-for="end in [0, 1] as const" :key="end"
    ><span class="field-label">Terminal {{ end === 0 ? 'one' : 'two' }}</span
    ><input class="w-24" :value="pair[end]" @input="set(end, $event)"
  /></label>
</template>
