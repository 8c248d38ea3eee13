<script setup lang="ts">
import { computed, reactive } from 'vue';
import type { EntryBody } from '@brine/contract/entries';
import { describeEntry } from '@brine/core/record/kinds';
import AppButton from '../shared/ui/AppButton.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import { editableTexts, withTexts } from './editable.ts';

/** Puts the texts of a refused entry right and sends it again. */
const props = defineProps<{ body: EntryBody; problem: string | null }>();
const emit = defineEmits<{ close: []; changed: [body: EntryBody] }>();
const texts = reactive(editableTexts(props.body).map((text) => ({ ...text })));
const title = computed(() => describeEntry(props.body));
const send = () => emit('changed', withTexts(props.body, texts));
</script>

<template>
  <ModalDialog :open="true" title="Edit and send again" @close="emit('close')">
    <form class="flex flex-col gap-4" @submit.prevent="send">
      <p class="[overflow-wrap:anywhere]">{{ title }}</p>
      <p v-if="problem" class="problem">Refused: {{ problem }}</p>
      <p v-if="texts.length === 0" class="hint">
        This entry has no text to edit. Export it for the record, enter it anew on its page, then discard it.
      </p>
      <label v-for="text in texts" :key="text.field" class="flex flex-col gap-1">
        <span class="field-label">{{ text.field }}</span>
        <textarea v-model="text.text" rows="3" :data-test="`edit-${text.field}`"></textarea>
      </label>
      <div class="flex gap-3">
        <AppButton v-if="texts.length > 0" kind="primary" type="submit" data-test="send-edited"
          >Save and send</AppButton
        >
        <AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
