<script setup lang="ts">
import { computed, ref } from 'vue';
import type { ColumnRole } from '@brine/core/controllers/suggest';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import BookletPages from './booklet/BookletPages.vue';
import type { LiveBooklet } from './booklet/useBooklet.ts';
import AsideLines from './table/AsideLines.vue';
import ColumnRoles from './table/ColumnRoles.vue';
import type { LiveWriting } from './useWriting.ts';

/** Where the booklet's table is pasted, and what its columns were found to hold. */
const props = defineProps<{ live: LiveWriting; booklet: LiveBooklet }>();
const chooser = ref<HTMLInputElement | null>(null);
const roleWords: Readonly<Record<ColumnRole, string>> = {
  code: 'code',
  description: 'description',
  unit: 'unit',
  min: 'least',
  max: 'greatest',
  range: 'range',
  default: 'factory value',
  options: 'options',
  folder: 'folder',
  left: 'not read',
};
const separatorWords = {
  tab: 'cells between tabs',
  semicolon: 'cells between semicolons',
  bar: 'cells between bars',
  comma: 'cells between commas',
  spaces: 'columns of spaces',
  text: 'lines of text',
} as const;
/** What lines of the booklet were taken for that are no row. */
const asideWords = {
  note: 'a note, a title or the foot of a page',
  heading: 'names the columns',
  group: 'names a group',
  joined: 'belongs to the row above it',
} as const;
const aside = computed(() =>
  props.live.table.value.aside
    .toSorted((a, b) => a.line - b.line)
    .map((one) => ({ ...one, as: asideWords[one.as] })),
);
function chosen(event: Event) {
  const input = event.target as HTMLInputElement;
  const files = [...(input.files ?? [])];
  input.value = '';
  void props.booklet.open(files);
}
</script>

<template>
  <section aria-label="The booklet’s table">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <input
        ref="chooser"
        type="file"
        accept=".csv,.tsv,.txt,text/*,.pdf,application/pdf,image/*"
        multiple
        class="hidden"
        data-test="table-file"
        @change="chosen"
      />
      <AppButton kind="primary" :disabled="booklet.progress.value !== null" @click="chooser?.click()"
        >Choose the booklet</AppButton
      >
      <span class="text-[14px] text-soft"
        >PDF, photographs of its pages, CSV, TSV or text. Or paste the table below. All of it stays on this
        device until the controller is saved.</span
      >
    </div>
    <BookletPages class="mt-3" :booklet="booklet" />
    <label class="mt-4 flex flex-col gap-1"
      ><span class="field-label">The booklet’s parameter table</span>
      <textarea
        class="h-36 font-mono text-[13px]"
        :value="live.writing.value.text"
        placeholder="SP&#9;Set point&#9;-40&#9;99&#9;°F&#9;36"
        spellcheck="false"
        data-test="paste"
        @input="live.change({ text: ($event.target as HTMLTextAreaElement).value, roles: null })"
      ></textarea>
    </label>
    <FormProblem
      class="mt-2"
      :message="live.writing.value.text.trim() === '' ? null : live.table.value.problem"
    />
    <ColumnRoles
      class="mt-3"
      :roles="live.table.value.columns.roles"
      :words="roleWords"
      @change="(roles) => live.change({ roles })"
      >Read as {{ separatorWords[live.table.value.separator] }}.
    </ColumnRoles>
    <p v-if="live.rows.value.length > 0" class="mt-3" role="status" data-test="rows-read">
      {{ live.rows.value.length }} rows read.
    </p>
    <AsideLines class="mt-2" :lines="aside" row="row" data-test="aside" />
  </section>
</template>
