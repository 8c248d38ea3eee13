import { computed, ref, shallowRef, watch } from 'vue';
import type { Unit } from '@brine/contract/routes';
import { applicationNames, isApplication } from '@brine/core/foundation/settings';
import { allStanding, fold, standing as standingOf } from '@brine/core/record/fold';
import { messageOf, request } from '../../shared/api/client.ts';
import { readUnit } from '../../shared/bus/foundOverBus.ts';
import { useChosenDevices, useLines } from '../../shared/bus/useLines.ts';
import { jobsOfUnit } from '../../shared/inUnit/jobsOfUnit.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useOutbox } from '../../shared/outbox/outboxStore.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import { stoodEntries } from '../bus/becameEntries.ts';
import { useWriteSteps, type WritingInto } from '../bus/useWriteSteps.ts';
import { copyEntries } from './copyEntries.ts';
import type { LikeUnits } from './useLikeUnits.ts';

/** The job of another unit that a program goes into. */
interface Into {
  readonly id: string;
  readonly seen: number;
  /** What it says of the control: the same, another, or nothing yet. */
  readonly control: { readonly family: string; readonly hash: string } | null;
  /** It is about a control that was there before. */
  readonly hasOld: boolean;
  /** What it says of the unit, by question. */
  readonly answered: ReadonlyMap<string, unknown>;
}

/** One unit that may get the program: what stands in it, what it would become, and the writing of it, into a job of its own. */
export function useLikeUnit(unit: () => Unit, like: LikeUnits) {
  const job = useJob();
  const session = useSession();
  const outbox = useOutbox();
  const on = useLines(
    like.site,
    computed(() => unit().id),
  );
  /** Its newest open job about this controller, else its newest open one; null: it has none, undefined: not known yet. */
  const into = shallowRef<Into | null | undefined>(undefined);
  const isOpen = ref(false);
  const pin = job.newPin;
  const steps = useWriteSteps(on, {
    control: job.replacement,
    values: computed(() => like.copy.value.copied),
    told: like.told,
    hash: () => pin.value!.hash,
    read: (hash) => readUnit(on, unit().id, hash),
  });
  /** What stood there already was settled in its job, and nothing is to be written. */
  const isSettled = ref(false);
  watch(steps.standing, () => (isSettled.value = false));
  /** Its own job says nothing yet of what it is: it is taken to be as this one is, unless somebody says otherwise. */
  const saysNothing = computed(
    () => into.value !== undefined && typeof into.value?.answered.get('application') !== 'string',
  );
  const sameKind = ref(true);
  const answers = computed(() =>
    saysNothing.value && sameKind.value
      ? allStanding(job.state.value, 'answer').filter(
          ({ question, value }) => value !== null && !into.value?.answered.has(question),
        )
      : [],
  );

  watch(isOpen, (open) => open && into.value === undefined && void tried(find));
  async function find(): Promise<void> {
    const jobs = (await jobsOfUnit(session.person?.id ?? '', unit().id))
      .filter(({ archived }) => !archived)
      .toSorted((a, b) => b.createdAt.localeCompare(a.createdAt))
      .map(({ id, seen, entries }) => {
        const state = fold(entries);
        const control = standingOf(state, 'control:new', 'control')?.definition ?? null;
        const hasOld = Boolean(standingOf(state, 'control:old', 'control')?.definition);
        const answered = new Map(
          allStanding(state, 'answer').map(({ question, value }) => [question, value]),
        );
        return { id, seen, control, hasOld, answered };
      });
    into.value = jobs.find(({ control }) => control?.hash === pin.value?.hash) ?? jobs[0] ?? null;
    if (into.value) await steps.resume(intoRecord(into.value));
  }

  /** Why it cannot get this program: its open job is about another controller, or the unit is of another kind. */
  const unlike = computed(() => {
    const control = into.value?.control;
    const application = into.value?.answered.get('application');
    if (control && control.hash !== pin.value?.hash)
      return `is about another controller, or another version of it: ${control.family}`;
    const here = job.program.value.unit?.application;
    return isApplication(application) && application !== here
      ? `says that it is another kind of unit: ${applicationNames[application]}`
      : null;
  });
  /** Which other unit is said to be this very device, by what was chosen for it before. */
  const chosen = useChosenDevices();
  const taken = computed(() => {
    const named = [...(like.units.value ?? []), ...(job.job.value ? [job.job.value.unit] : [])];
    return (
      named.find(({ id }) => {
        const at = id === unit().id ? undefined : chosen.value[id];
        return at?.line === on.line.value && at.device === on.device.value;
      })?.name ?? null
    );
  });
  /** Why nothing is read or written there. */
  const blocked = computed(() => taken.value !== null || (saysNothing.value && !sameKind.value));

  /** The job the program goes into: its own, or one that is opened for it. */
  async function ownJob(): Promise<Into> {
    if (into.value) return into.value;
    const title = `${pin.value!.family} as in ${job.job.value!.unit.name}`;
    const made = await request('createJob', { body: { unitId: unit().id, title } });
    into.value = { id: made.job.id, seen: 0, control: null, hasOld: false, answered: new Map() };
    return into.value;
  }

  const intoRecord = ({ id, seen }: Into): WritingInto => ({
    job: id,
    keep: (...bodies) => outbox.add(session.person!, id, seen, bodies),
  });

  /** Plans the program in the unit's own job; what stands already so is settled there. */
  async function plant(atUnit: string | null): Promise<WritingInto> {
    const target = await ownJob();
    const record = intoRecord(target);
    const { copied } = like.copy.value;
    const stood = steps.plan.value!.stood.map((code) => ({ code, value: copied.get(code)! }));
    await record.keep(
      ...copyEntries({
        pin: pin.value!,
        control: job.replacement.value!,
        copy: like.copy.value,
        told: like.told.value!,
        standing: steps.standing.value!,
        from: { job: job.id, unit: job.job.value!.unit.name },
        hasNew: target.control !== null,
        hasOld: target.hasOld,
        answers: answers.value,
      }),
      ...stoodEntries(stood, atUnit),
    );
    const answered = new Map([
      ...target.answered,
      ...answers.value.map(({ question, value }) => [question, value] as const),
    ]);
    into.value = { ...target, control: pin.value!, answered };
    return record;
  }

  /** Does something of which the problem is told at the line. */
  async function tried(what: () => Promise<void>): Promise<void> {
    try {
      await what();
    } catch (error) {
      on.problem.value = messageOf(error);
    }
  }
  /** It stands there already as it is planned here: its job says so, and nothing is written. */
  const settle = () =>
    tried(async () => {
      await plant(null);
      isSettled.value = true;
    });
  const write = (atUnit: string) => tried(async () => steps.write(await plant(atUnit), atUnit));

  return { on, steps, into, saysNothing, sameKind, unlike, taken, blocked, isOpen, isSettled, settle, write };
}
