<script setup lang="ts">
import { computed, ref } from 'vue';
import { columnRoles, type ColumnRole } from '@brine/core/controllers/suggest';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import BookletPages from './booklet/BookletPages.vue';
import type { LiveBooklet } from './booklet/useBooklet.ts';
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
/** Lines of the booklet that were taken for something else than a row. */
const aside = computed(() => [...props.live.table.value.aside].sort((a, b) => a.line - b.line));
const asideWords = {
  note: 'a note, a title or the foot of a page',
  heading: 'names the columns',
  group: 'names a group',
  joined: 'belongs to the row above it',
} as const;
function chosen(event: Event) {
  const input = event.target as HTMLInputElement;
  const files = [...(input.files ?? [])];
  input.value = '';
  void props.booklet.open(files);
}
function setRole(index: number, event: Event) {
  const roles = [...props.live.table.value.columns.roles];
  roles[index] = (event.target as HTMLSelectElement).value as ColumnRole;
  props.live.change({ roles });
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
    <div
      v-if="live.table.value.columns.roles.length > 0"
      class="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2 text-[14px]"
    >
      <span class="text-soft">Read as {{ separatorWords[live.table.value.separator] }}. Columns:</span>
      <label v-for="(role, i) in live.table.value.columns.roles" :key="i" class="flex items-center gap-1.5"
        >{{ i + 1 }}
        <select
          class="!min-h-8 pointer-coarse:!min-h-11 !py-0.5 text-[14px]"
          :value="role"
          :aria-label="`Column ${i + 1} holds`"
          @change="setRole(i, $event)"
        >
          <option v-for="r in columnRoles" :key="r" :value="r">{{ roleWords[r] }}</option>
        </select>
      </label>
    </div>
    <p v-if="live.rows.value.length > 0" class="mt-3" role="status" data-test="rows-read">
      {{ live.rows.value.length }} rows read.
    </p>
    <details v-if="aside.length > 0" class="mt-2 text-[14px]" data-test="aside">
      <summary class="link py-1">
        {{ aside.length }} {{ aside.length === 1 ? 'line is' : 'lines are' }} no row
      </summary>
      <ul class="mt-1 max-h-56 overflow-auto">
        <li v-for="line in aside" :key="line.line" class="border-b border-hairline py-0.5">
          <span class="inline-block w-12 font-mono text-soft">{{ line.line }}</span>
          {{ line.text }} <span class="text-soft">{{ asideWords[line.as] }}</span>
        </li>
      </ul>
    </details>
  </section>
</template>
