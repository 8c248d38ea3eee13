<script setup lang="ts" generic="Choice extends string">
import { nextTick, onMounted, ref, watch } from 'vue';

const props = defineProps<{
  label: string;
  options: readonly { readonly id: Choice; readonly name: string }[];
  modelValue: Choice;
}>();
defineEmits<{ 'update:modelValue': [choice: Choice] }>();
const strip = ref<HTMLElement | null>(null);
/** On a narrow screen the strip scrolls: what is chosen stays in sight, and the page where it is. */
async function showChosen() {
  await nextTick();
  // With the next picture: measured before it, the whole page would be laid out once more.
  await new Promise((drawn) => requestAnimationFrame(drawn));
  const chosen = strip.value?.querySelector<HTMLElement>('[aria-checked="true"]');
  if (strip.value && chosen)
    strip.value.scrollLeft = chosen.offsetLeft - (strip.value.clientWidth - chosen.offsetWidth) / 2;
}
onMounted(showChosen);
watch(() => [props.modelValue, props.options.length], showChosen);
</script>

<template>
  <div
    ref="strip"
    role="radiogroup"
    :aria-label="label"
    class="relative inline-flex max-w-full shrink-0 overflow-x-auto rounded-md border border-edge bg-sheet max-sm:flex-wrap"
  >
    <button
      v-for="option in options"
      :key="option.id"
      type="button"
      role="radio"
      :aria-checked="option.id === modelValue"
      class="min-h-9 shrink-0 grow px-4 pointer-coarse:min-h-11 text-[15px] font-medium max-sm:px-3"
      :class="option.id === modelValue ? 'bg-brine text-on-brine' : 'text-ink hover:bg-band'"
      @click="$emit('update:modelValue', option.id)"
    >
      {{ option.name }}
    </button>
  </div>
</template>
