<script setup lang="ts">
import { computed } from 'vue';
import { displayOf, parameterOf } from '@brine/core/controllers/definitions';
import { printShown } from '@brine/core/record/handover';
import { deedName, type Machine } from '@brine/core/controllers/panel';
import type { Drill } from '@brine/core/practice/drills';

/** What a drill asks for: values by code, or deeds in their order. */
const props = defineProps<{ machine: Machine; drill: Drill; done: readonly string[] }>();
const lines = computed(() =>
  props.drill.goal.map(({ code, value }) => {
    const parameter = parameterOf(props.machine.definition, code)!;
    const display = displayOf(props.machine.definition, props.drill.ends);
    return { code, name: parameter.name, value: printShown(parameter, value, display) };
  }),
);
</script>

<template>
  <div data-test="drill-goal">
    <table v-if="lines.length > 0" class="table-plain mt-1">
      <tbody>
        <tr v-for="line in lines" :key="line.code" class="[&>td]:!py-1">
          <td class="w-20 font-mono font-semibold">{{ line.code }}</td>
          <td>{{ line.name }}</td>
          <td class="text-right font-mono font-semibold whitespace-nowrap">{{ line.value }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="drill.endsLocked" class="mt-1">Lock the keys again at the end.</p>
    <ol v-if="drill.deeds.length > 0" class="mt-1 list-decimal pl-6">
      <li v-for="(does, i) in drill.deeds" :key="i" class="py-0.5">{{ deedName(does) }}</li>
    </ol>
  </div>
</template>
