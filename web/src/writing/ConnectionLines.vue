<script setup lang="ts" generic="Item">
import AppButton from '../shared/ui/AppButton.vue';

/** One kind of connection: not stated, none, or a line for each. */
defineProps<{ title: string; one: string; list: readonly Item[] | null }>();
defineEmits<{ state: [list: readonly Item[] | null]; add: [] }>();
</script>

<template>
  <section :aria-label="title" :data-test="`connect-${title.toLowerCase().replace(/ /g, '-')}`">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink pb-1">
      <h2 class="text-[17px]">{{ title }}</h2>
      <span class="hint flex-1">{{
        list === null ? 'not stated' : list.length === 0 ? 'it has none' : ''
      }}</span>
      <AppButton kind="quiet" data-test="add-line" @click="$emit('add')">Add {{ one }}</AppButton>
      <AppButton v-if="list === null" kind="quiet" @click="$emit('state', [])">It has none</AppButton>
      <AppButton v-else-if="list.length === 0" kind="quiet" @click="$emit('state', null)"
        >Not stated</AppButton
      >
    </div>
    <div
      v-for="(item, at) in list ?? []"
      :key="at"
      class="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-hairline py-3 [&_label]:flex [&_label]:flex-col [&_fieldset_label]:flex-row"
    >
      <slot :item="item" :at="at" />
      <button
        type="button"
        class="link min-h-9 pointer-coarse:min-h-11"
        :aria-label="`Remove line ${at + 1} of ${title}`"
        @click="$emit('state', list!.length === 1 ? null : list!.filter((_, i) => i !== at))"
      >
        Remove
      </button>
    </div>
  </section>
</template>
