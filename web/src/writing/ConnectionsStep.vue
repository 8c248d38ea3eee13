<script setup lang="ts">
import { computed } from 'vue';
import { menuSensors } from '@brine/core/foundation/probes';
import { probeRoleNames, probeRoles } from '@brine/core/foundation/unit';
import { controlOutputs } from '@brine/core/controllers/definitions';
import type { WrittenConnections } from '@brine/core/controllers/suggest';
import CautionNote from '../shared/ui/CautionNote.vue';
import ConnectionLines from './ConnectionLines.vue';
import RelayLine from './RelayLine.vue';
import TerminalPair from './TerminalPair.vue';
import type { LiveWriting } from './useWriting.ts';

/** The back of the control as its booklet shows it. Everything may stay not stated: it is asked where it is needed. */
const props = defineProps<{ live: LiveWriting }>();
const written = computed(() => props.live.writing.value.connections);
type List = 'supply' | 'relays' | 'probes' | 'inputs';
type Item<Of extends List> = NonNullable<WrittenConnections[Of]>[number];

const set = <Of extends List>(of: Of, list: readonly Item<Of>[] | null) => props.live.connect({ [of]: list });
const change = <Of extends List>(of: Of, at: number, part: Partial<Item<Of>>) =>
  set(
    of,
    (written.value[of] as readonly Item<Of>[]).map((item, i) => (i === at ? { ...item, ...part } : item)),
  );
const value = (event: Event) => (event.target as HTMLInputElement).value;

/** Rows hold the two numbers of a sensor's tag. */
const hasTag = computed(() =>
  props.live.used.value.some(({ setting }) => setting?.startsWith('meter.') ?? false),
);
/** The duty that a further relay most likely has. */
const nextDuty = computed(
  () => controlOutputs.find((d) => !(written.value.relays ?? []).some((r) => r.drives === d)) ?? 'alarm',
);
const nextRole = computed(
  () => probeRoles.find((r) => !(written.value.probes ?? []).some((p) => p.role === r)) ?? 'air',
);
const inputRoles = [
  { id: 'door', name: 'door switch' },
  { id: 'externalAlarm', name: 'foreign alarm' },
  { id: 'quiet', name: 'night or quiet' },
];
const toggled = (types: readonly string[], type: string, on: boolean) =>
  on ? [...types, type] : types.filter((t) => t !== type);
</script>

<template>
  <div class="flex flex-col gap-8" data-test="connections">
    <CautionNote
      >Terminals are taken from the booklet and read off the control itself: two versions of one control may
      differ. Isolate, lock out and prove dead before touching them.</CautionNote
    >
    <ConnectionLines
      title="Supply"
      one="a supply"
      :list="written.supply"
      @state="set('supply', $event)"
      @add="set('supply', [...(written.supply ?? []), { volts: '120', kind: 'ac', terminals: ['', ''] }])"
    >
      <template #default="{ item, at }">
        <label
          ><span class="field-label">Volts</span
          ><input
            class="w-28"
            :value="item.volts"
            placeholder="120, or 208 to 240"
            data-test="supply-volts"
            @input="change('supply', at, { volts: value($event) })"
        /></label>
        <label
          ><span class="field-label">Kind</span
          ><select :value="item.kind" @change="change('supply', at, { kind: value($event) as 'ac' | 'dc' })">
            <option value="ac">AC</option>
            <option value="dc">DC</option>
          </select></label
        >
        <TerminalPair :pair="item.terminals" @change="change('supply', at, { terminals: $event })" />
      </template>
    </ConnectionLines>
    <ConnectionLines
      title="Relays"
      one="a relay"
      :list="written.relays"
      @state="set('relays', $event)"
      @add="
        set('relays', [
          ...(written.relays ?? []),
          {
            drives: nextDuty,
            common: '',
            normallyOpen: '',
            normallyClosed: '',
            resistiveAmps: '',
            motorFullLoadAmps: '',
            motorLockedRotorAmps: '',
            fedInside: 'unknown',
          },
        ])
      "
    >
      <template #default="{ item, at }">
        <RelayLine :relay="item" @change="(part) => change('relays', at, part)" />
      </template>
    </ConnectionLines>
    <ConnectionLines
      title="Probe inputs"
      one="a probe input"
      :list="written.probes"
      @state="set('probes', $event)"
      @add="
        set('probes', [
          ...(written.probes ?? []),
          { role: nextRole, types: written.probes?.at(-1)?.types ?? ['ntc10k'], terminals: ['', ''] },
        ])
      "
    >
      <template #default="{ item, at }">
        <label
          ><span class="field-label">For</span
          ><select
            :value="item.role"
            data-test="probe-role"
            @change="change('probes', at, { role: value($event) })"
          >
            <option v-for="r in probeRoles" :key="r" :value="r">{{ probeRoleNames[r] }}</option>
          </select></label
        >
        <fieldset class="flex flex-wrap items-center gap-x-4">
          <legend class="field-label">Sensor</legend>
          <label
            v-for="s in menuSensors"
            :key="s.id"
            class="flex min-h-9 pointer-coarse:min-h-11 items-center gap-1.5"
            ><input
              type="checkbox"
              :checked="item.types.includes(s.id)"
              @change="
                change('probes', at, {
                  types: toggled(item.types, s.id, ($event.target as HTMLInputElement).checked),
                })
              "
            />{{ s.name }}</label
          >
        </fieldset>
        <TerminalPair :pair="item.terminals" @change="change('probes', at, { terminals: $event })" />
      </template>
    </ConnectionLines>
    <ConnectionLines
      title="Inputs for a contact"
      one="an input"
      :list="written.inputs"
      @state="set('inputs', $event)"
      @add="set('inputs', [...(written.inputs ?? []), { role: 'door', terminals: ['', ''] }])"
    >
      <template #default="{ item, at }">
        <label
          ><span class="field-label">For</span
          ><select :value="item.role" @change="change('inputs', at, { role: value($event) })">
            <option v-for="r in inputRoles" :key="r.id" :value="r.id">{{ r.name }}</option>
          </select></label
        >
        <TerminalPair :pair="item.terminals" @change="change('inputs', at, { terminals: $event })" />
      </template>
    </ConnectionLines>
    <section v-if="hasTag" aria-label="Sensor tags" data-test="sensor-tag">
      <h2 class="text-[17px]">Sensor tags</h2>
      <p class="hint">
        Its sensors come with a tag of slope and offset: temperature = slope × signal + offset.
      </p>
      <label class="mt-1 flex items-center gap-2"
        >The offset on the tag is in
        <select
          :value="written.tagUnit ?? ''"
          data-test="tag-unit"
          @change="live.connect({ tagUnit: (value($event) || null) as WrittenConnections['tagUnit'] })"
        >
          <option value="">not stated</option>
          <option value="degC">°C</option>
          <option value="degF">°F</option>
        </select></label
      >
    </section>
    <section aria-label="Hole in the panel">
      <h2 class="text-[17px]">Hole in the panel</h2>
      <p class="hint">Width and height in millimetres; empty where it is not stated.</p>
      <div class="mt-1 flex items-center gap-2">
        <input
          v-for="side in [0, 1] as const"
          :key="side"
          class="w-20 text-right"
          inputmode="decimal"
          :aria-label="side === 0 ? 'Width, mm' : 'Height, mm'"
          :value="written.cutOut[side]"
          @input="
            live.connect({
              cutOut: side === 0 ? [value($event), written.cutOut[1]] : [written.cutOut[0], value($event)],
            })
          "
        />
        <span class="text-soft">mm</span>
      </div>
    </section>
    <ul v-if="live.connections.value.problems.length > 0" class="problem" role="alert">
      <li v-for="problem in live.connections.value.problems" :key="problem">{{ problem }}</li>
    </ul>
  </div>
</template>
