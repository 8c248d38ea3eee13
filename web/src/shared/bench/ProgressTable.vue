<script setup lang="ts">
import { computed } from 'vue';
import { practiceKinds, type PracticeKind } from '@brine/core/practice/drills';
import type { ProgressLine } from '@brine/contract/routes';
import { useSession } from '../session/sessionStore.ts';
import { drillWords } from './drillWords.ts';

/** Drills done on one family: runs, passed, best time. A lead sees everybody's, one's own first. */
const props = defineProps<{ lines: readonly ProgressLine[]; definitionId: string }>();
const session = useSession();
const here = computed(() => props.lines.filter((line) => line.definitionId === props.definitionId));
const people = computed(() => {
  const own = session.person?.id;
  const ids = [...new Set(here.value.map((line) => line.person))];
  return ids
    .sort((a, b) => Number(b === own) - Number(a === own))
    .map((id) => ({
      id,
      name: id === own ? 'You' : (here.value.find((line) => line.person === id)?.name ?? ''),
      lines: practiceKinds.flatMap((kind) =>
        here.value.filter((line) => line.person === id && line.drill === kind),
      ),
    }));
});
const nameOf = (drill: string) => drillWords[drill as PracticeKind]?.name ?? drill;
</script>

<template>
  <section v-if="people.length > 0" aria-label="Progress" data-test="progress">
    <h3>So far on this controller</h3>
    <table class="table-plain mt-1">
      <thead>
        <tr>
          <th v-if="session.isLead">Who</th>
          <th>Drill</th>
          <th class="!text-right">Passed</th>
          <th class="!text-right">Best, no hint</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="person in people" :key="person.id">
          <tr v-for="(line, i) in person.lines" :key="line.drill" class="[&>td]:!py-1">
            <td v-if="session.isLead">{{ i === 0 ? person.name : '' }}</td>
            <td>{{ nameOf(line.drill) }}</td>
            <td class="text-right font-mono whitespace-nowrap">{{ line.passed }} of {{ line.runs }}</td>
            <td class="text-right font-mono whitespace-nowrap">
              {{ line.bestSeconds === null ? '' : `${line.bestSeconds} s` }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </section>
</template>
