<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import type { BusLine, LineKind, Site } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { localDateTime } from '../shared/display/localTime.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import { useLinks } from './useLinks.ts';

/** The lines of a site over which its controls are read and written: addresses that a lead enters, opens and shuts. */
const props = defineProps<{ site: Site }>();
const emit = defineEmits<{ close: [] }>();
const lines = shallowRef<readonly BusLine[] | null>(null);
const problem = ref<string | null>(null);
const name = ref('');
const host = ref('');
const port = ref(502);
const kind = ref<LineKind>('tcp');
const kindWords: Readonly<Record<LineKind, string>> = {
  tcp: 'Modbus TCP',
  rtuOverTcp: 'Serial gateway (RTU over TCP)',
};

const { links, start, load, make, end } = useLinks(props.site.id);
/** Empty: the server calls the line itself. */
const link = ref('');
const linkName = ref('');
const linkOf = (id: string | null) => links.value.find((one) => one.id === id)?.name;

async function tried(act: () => Promise<unknown>) {
  problem.value = null;
  try {
    await act();
    lines.value = (await request('busLines', { params: { id: props.site.id } })).lines;
    await load();
  } catch (error) {
    problem.value = messageOf(error);
  }
}
onMounted(() => tried(() => Promise.resolve()));
const enter = () =>
  tried(async () => {
    await request('createBusLine', {
      params: { id: props.site.id },
      body: {
        name: name.value,
        host: host.value.trim(),
        port: port.value,
        kind: kind.value,
        link: link.value === '' ? null : link.value,
      },
    });
    name.value = '';
    host.value = '';
  });
const makeLink = () =>
  tried(async () => {
    link.value = await make(linkName.value);
    linkName.value = '';
  });
const change = (line: BusLine) =>
  tried(() => request('changeBusLine', { params: { id: line.id }, body: { open: !line.open } }));
</script>

<template>
  <ModalDialog :open="true" :title="`Lines of ${site.name}`" @close="emit('close')">
    <div class="flex flex-col gap-4" data-test="lines-dialog">
      <p class="hint">
        The server calls no other address than those entered here, and only while a line is open. It must
        reach the site: by the company’s own network or a tunnel, never by a port that is open to the world.
      </p>
      <ul v-if="lines && lines.length > 0" class="flex flex-col">
        <li
          v-for="line in lines"
          :key="line.id"
          class="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1.5"
          data-test="line-row"
        >
          <span class="min-w-0 flex-1"
            >{{ line.name }}
            <span class="hint block font-mono"
              >{{ line.host }}:{{ line.port }} · {{ kindWords[line.kind]
              }}<template v-if="line.link">
                · by {{ linkOf(line.link) ?? 'a link that was ended' }}</template
              ></span
            ></span
          >
          <span>{{ line.open ? '✓ open' : '– shut' }}</span>
          <button
            type="button"
            class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
            data-test="line-open"
            @click="change(line)"
          >
            {{ line.open ? 'Shut' : 'Open' }}
          </button>
        </li>
      </ul>
      <p v-else-if="lines" class="text-soft">No line yet.</p>
      <form class="flex flex-col gap-3" novalidate @submit.prevent="enter">
        <label class="flex flex-col gap-1"
          ><span class="field-label">Name</span
          ><input v-model="name" maxlength="200" placeholder="Plant room" data-test="line-name"
        /></label>
        <div class="grid grid-cols-[minmax(0,1fr)_7rem] gap-3">
          <label class="flex min-w-0 flex-col gap-1"
            ><span class="field-label">Address</span
            ><input
              v-model="host"
              class="font-mono"
              placeholder="192.168.1.20"
              autocapitalize="off"
              data-test="line-host"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Port</span
            ><input
              v-model.number="port"
              class="font-mono"
              type="number"
              min="1"
              max="65535"
              data-test="line-port"
          /></label>
        </div>
        <label class="flex flex-col gap-1"
          ><span class="field-label">What answers there</span>
          <select v-model="kind" data-test="line-kind">
            <option v-for="(words, id) in kindWords" :key="id" :value="id">{{ words }}</option>
          </select></label
        >
        <label v-if="links.length > 0" class="flex flex-col gap-1"
          ><span class="field-label">Who calls it</span>
          <select v-model="link" data-test="line-link">
            <option value="">the server</option>
            <option v-for="one in links" :key="one.id" :value="one.id">{{ one.name }}, on site</option>
          </select></label
        >
        <FormProblem :message="problem" />
        <div class="flex gap-3">
          <AppButton kind="primary" type="submit" data-test="line-enter">Enter the line</AppButton>
          <AppButton @click="emit('close')">Close</AppButton>
        </div>
      </form>
      <details class="border-t border-hairline pt-3" data-test="links">
        <summary class="link min-h-9 py-1 pointer-coarse:min-h-11">The server cannot reach the site</summary>
        <p class="hint mt-1">
          A laptop on site holds the line then: it dials out to the server, and needs no open port. It asks
          nothing but what is asked of the lines entered here; its token opens nothing else.
        </p>
        <ul v-if="links.length > 0" class="mt-2 flex flex-col">
          <li
            v-for="one in links"
            :key="one.id"
            class="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1.5"
          >
            <span class="min-w-0 flex-1"
              >{{ one.name
              }}<span class="hint block">{{
                one.seenAt ? `last there ${localDateTime(one.seenAt)}` : 'was never there'
              }}</span></span
            >
            <button
              type="button"
              class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
              data-test="link-end"
              @click="tried(() => end(one.id))"
            >
              End it
            </button>
          </li>
        </ul>
        <form class="mt-2 flex flex-wrap items-end gap-3" novalidate @submit.prevent="makeLink">
          <label class="flex min-w-0 flex-1 flex-col gap-1"
            ><span class="field-label">Name of the laptop</span
            ><input v-model="linkName" maxlength="200" data-test="link-name"
          /></label>
          <AppButton type="submit" data-test="link-make">Make a link</AppButton>
        </form>
        <div v-if="start" class="mt-3 border-l-4 border-amber bg-amber-wash px-3 py-2">
          <p>Start it on that laptop, where Brine Dial is unpacked. This stands here once:</p>
          <code class="mt-1 block font-mono text-[13px] break-all" data-test="link-start">{{ start }}</code>
        </div>
      </details>
    </div>
  </ModalDialog>
</template>
