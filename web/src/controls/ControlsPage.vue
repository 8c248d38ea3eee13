<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { parseJson, isFileProblem } from '@brine/core/foundation/files';
import type { ApiError } from '../shared/api/client.ts';
import { request } from '../shared/api/client.ts';
import { definitionByHash } from '../shared/job/definitions.ts';
import FamilyList from '../shared/job/FamilyList.vue';
import NoControllers from '../shared/job/NoControllers.vue';
import { useControllers } from '../shared/job/useControllers.ts';
import { writtenHere } from '../shared/job/writtenHere.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import { saveFile } from '../shared/ui/saveFile.ts';
import ControlDetail from './ControlDetail.vue';
import ControlTrust from './ControlTrust.vue';
import ControlUses from './ControlUses.vue';
import { useUses } from './useUses.ts';
import VersionCompare from './VersionCompare.vue';

const props = defineProps<{ hash?: string }>();
const session = useSession();
const router = useRouter();
const { controllers, problem, isEmpty, reload } = useControllers();
const chooser = ref<HTMLInputElement | null>(null);
const refused = ref<{ message: string; faults: readonly { field: string; message: string }[] } | null>(null);
const chosen = computed(() => props.hash || controllers.value[0]?.hash);
const definition = computed(() => definitionByHash(chosen.value));
const { known, problem: usesProblem } = useUses(() => chosen.value);
const versions = computed(() => controllers.value.filter((c) => c.id === definition.value?.id));
const isOwn = computed(() => !!definition.value && writtenHere(definition.value));

/** Hands the definition out as the file that any installation takes in. */
function exportFile() {
  if (!definition.value) return;
  const text = `${JSON.stringify(definition.value, null, 2)}\n`;
  saveFile(`${definition.value.id}.controller.json`, new Blob([text], { type: 'application/json' }));
}
useJumpTargets(() =>
  controllers.value.map((c) => ({
    id: `control:${c.hash}`,
    title: c.family,
    detail: `${c.version}, ${c.parameters} codes`,
    words: c.summary,
    go: () => void router.push(`/controls/${c.hash}`),
  })),
);

async function importFile(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  refused.value = null;
  const parsed = parseJson(await file.text());
  if (isFileProblem(parsed)) {
    refused.value = { message: `${file.name}: ${parsed.message}`, faults: [] };
    return;
  }
  try {
    const { controller } = await request('addController', {
      body: { definition: parsed.data as object },
    });
    await reload();
    await router.push(`/controls/${controller.hash}`);
  } catch (error) {
    const { message, problems } = error as ApiError;
    refused.value = { message: `${file.name}: ${message}`, faults: problems };
  }
}
</script>

<template>
  <div class="grid flex-1 lg:grid-cols-[minmax(0,20rem)_minmax(0,1fr)]">
    <section
      class="border-b border-hairline px-4 py-5 sm:px-5 lg:border-r lg:border-b-0"
      aria-label="Controllers"
    >
      <h1>Controls</h1>
      <div v-if="session.mayWrite" class="mt-3">
        <input
          ref="chooser"
          type="file"
          accept=".json,application/json"
          class="hidden"
          data-test="controller-file"
          @change="importFile"
        />
        <div class="flex flex-wrap gap-3">
          <RouterLink
            to="/controls/write"
            class="inline-flex min-h-9 pointer-coarse:min-h-11 items-center rounded-md border border-brine bg-brine px-4 font-medium text-on-brine"
            data-test="write-one"
            >Add a controller</RouterLink
          >
          <AppButton @click="chooser?.click()">Import</AppButton>
        </div>
      </div>
      <FamilyList :controllers="controllers" :chosen="chosen" page="/controls" full />
      <FormProblem class="mt-3" :message="problem" />
      <NoControllers v-if="isEmpty" class="mt-3" />
      <div
        v-if="refused"
        role="alert"
        class="mt-3 border-l-4 border-alarm bg-alarm-wash px-3 py-2 text-[14px]"
      >
        <p>{{ refused.message }}</p>
        <ul v-if="refused.faults.length > 0" class="mt-1">
          <li v-for="fault in refused.faults.slice(0, 20)" :key="fault.field + fault.message">
            <code class="font-mono text-[13px]">{{ fault.field }}</code>: {{ fault.message }}
          </li>
        </ul>
        <p v-if="refused.faults.length > 20">
          and {{ refused.faults.length - 20 }} more:
          <code class="font-mono">npx brine controller check</code> lists them all.
        </p>
      </div>
    </section>
    <section class="bg-sheet px-4 py-5 sm:px-6" aria-label="Definition">
      <template v-if="definition && chosen">
        <div class="float-right ml-4 flex flex-wrap gap-x-4 gap-y-2">
          <RouterLink class="link" :to="`/practice/${chosen}`">Practise</RouterLink>
          <RouterLink v-if="isOwn && session.mayWrite" class="link" :to="`/controls/write/${chosen}`"
            >New version</RouterLink
          >
          <button type="button" class="link" data-test="export" @click="exportFile">Export</button>
        </div>
        <ControlDetail :definition="definition" />
        <div class="mt-6 flex max-w-4xl flex-col gap-6">
          <ControlTrust :definition="definition" :known="known" />
          <ControlUses :known="known" :problem="usesProblem" />
          <VersionCompare :key="chosen" :definition="definition" :versions="versions" :hash="chosen" />
        </div>
      </template>
    </section>
  </div>
</template>
