import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import { isQuantity } from '../../foundation/quantities/index.ts';
import { printValue, settingOf } from '../../foundation/settings/index.ts';
import type { Finding } from '../../judgement/checks/index.ts';
import { borrowedProbe } from '../../judgement/leaving/index.ts';
import { standing, type JobState } from '../fold/index.ts';
import { outNow, type JobWiring, type Program, type Proving, type RunTest } from '../job/index.ts';
import { type StationId } from '../stations/index.ts';
import type { OpenKind } from './kinds.ts';

/** Something that is not finished on a job, from its record. */
export interface OpenItem {
  readonly kind: OpenKind;
  /** The same as long as it is the same thing: an answer given for it holds. */
  readonly id: string;
  readonly words: Sentence;
  /** Where it is worked on. */
  readonly station: StationId;
}

/** What a job is computed from, as the stations show it. */
export interface JobParts {
  readonly state: JobState;
  readonly program: Program;
  readonly wiring: JobWiring | null;
  readonly proving: Proving | null;
  /** What the one judgement says; what the rules say where absent. */
  readonly findings?: readonly Finding[];
}

/** Longest name under which an item is kept, in characters. */
const LONGEST_ITEM = 200;

/** Everything that is not finished on a job, in the order of the work. */
export function openItems({ state, program, wiring, proving, findings }: JobParts): readonly OpenItem[] {
  return [
    ...borrowedItems(state),
    ...fitItems(wiring),
    ...wireItems(wiring),
    ...codeItems(program),
    ...testItems(wiring, proving),
    ...verdictItems(state),
    ...findingItems(findings ?? program.findings),
    ...notStatedItems(program),
    // What a hand-over keeps of it has an end; the sentence of a problem may be long.
  ].map((item) => ({ ...item, id: item.id.slice(0, LONGEST_ITEM) }));
}

/** What was moved for a proof and is not back: nobody leaves a unit so. */
function borrowedItems(state: JobState): readonly OpenItem[] {
  return outNow(state).map(({ id, setting, to }) => ({
    kind: 'borrowed',
    id,
    words:
      setting !== null && to !== null
        ? sentence`${settingOf(setting).label} stands at ${isQuantity(to) ? to : printValue(settingOf(setting), to)} for a proof: put it back and read it back.`
        : `The ${borrowedProbe(id)} is out of its place for a proof: hang it back and read the display.`,
    station: 'prove',
  }));
}

function fitItems(wiring: JobWiring | null): readonly OpenItem[] {
  if (wiring?.fit?.verdict !== 'cannot') return [];
  return wiring.fit.gaps
    .filter((gap) => gap.bridge === null)
    .map(({ need, lacks }) => ({ kind: 'fit', id: need, words: `${need}: ${lacks}.`, station: 'fit' }));
}

function wireItems(wiring: JobWiring | null): readonly OpenItem[] {
  if (!wiring?.plan) return [];
  const { tasks, wired, judged, plan } = wiring;
  return [
    ...tasks
      .filter((wire) => !wired.has(wire))
      .map((wire): OpenItem => ({
        kind: 'wires',
        id: wire,
        words: `Wire ${wire} is not done.`,
        station: 'wire',
      })),
    ...plan.findings
      .filter(({ severity }) => severity === 'error')
      .map(({ code, parts, message }): OpenItem => ({
        kind: 'wiring',
        id: [code, ...parts].join(':'),
        words: message,
        station: 'wire',
      })),
    ...plan.problems.map((words): OpenItem => ({ kind: 'wiring', id: words, words, station: 'wire' })),
    ...judged
      .filter(({ verdict }) => verdict === 'off')
      .map(({ reading }): OpenItem => {
        const where =
          'through' in reading ? `through ${reading.through}` : `${reading.from} to ${reading.to}`;
        return {
          kind: 'readings',
          id: `${reading.state}:${where}`,
          words: `${reading.state}, ${where}: the meter reads something else than the plan says.`,
          station: 'wire',
        };
      }),
  ];
}

function codeItems(program: Program): readonly OpenItem[] {
  return program.rows
    .filter((row) => row.state === 'open')
    .map((row) => ({
      kind: 'codes',
      id: row.code,
      words: `${row.code}, ${row.parameter.name}: not keyed in.`,
      station: 'program',
    }));
}

function testItems(wiring: JobWiring | null, proving: Proving | null): readonly OpenItem[] {
  return (proving?.tests ?? []).flatMap((run): OpenItem[] => {
    const { id, title } = run.test;
    const item = { kind: 'tests', id, station: 'prove' } as const;
    if (run.result === null) return [{ ...item, words: `${title}: not done.` }];
    if (run.result === 'failed')
      return [{ ...item, words: `${title}: failed${run.word ? ` (${run.word})` : ''}.` }];
    const missing = run.result === 'passed' ? missingEvidence(run, wiring) : null;
    return missing ? [{ ...item, words: `${title}: passed, but ${missing}.` }] : [];
  });
}

/** The test that claims the dead readings of the meter table. */
const DEAD_READINGS = 'dead.meter';

/** What a passed test claims and nobody wrote down; a word with it stands for it. */
function missingEvidence(run: RunTest, wiring: JobWiring | null): string | null {
  if (run.word.trim() !== '') return null;
  if (run.test.id === DEAD_READINGS && wiring?.plan) {
    const dead = wiring.judged.filter(({ reading }) => reading.state === 'dead').length;
    return dead === 0 ? 'no dead reading is written down' : null;
  }
  return run.test.measure && run.value === null ? 'what was read is not written down' : null;
}

/** Verdicts that somebody must act on. */
const mustBeDone: Readonly<Partial<Record<string, string>>> = {
  repair: 'Repair the unit',
  moveProbe: 'Move the probe',
};

/** The follow-up that says a verdict was carried out. */
export const VERDICT_DONE = 'verdict';

/** The verdict on a complaint stands until somebody says that what it asks for is done. */
function verdictItems(state: JobState): readonly OpenItem[] {
  const verdict = standing(state, 'verdict', 'verdict');
  const asks = verdict?.decision ? mustBeDone[verdict.decision] : undefined;
  const done = standing(state, `followUp:${VERDICT_DONE}`, 'followUp')?.followUp?.done === true;
  if (!asks || done) return [];
  const words = [asks, verdict!.words].filter(Boolean).join(': ');
  return [
    { kind: 'verdict', id: verdict!.decision!, words: `${words}.`.replace(/\.\.$/, '.'), station: 'survey' },
  ];
}

function findingItems(findings: readonly Finding[]): readonly OpenItem[] {
  return findings
    .filter(({ severity }) => severity !== 'note')
    .map(({ code, settings, message }) => ({
      kind: 'findings',
      id: [code, ...settings].join(':'),
      words: message,
      station: 'program',
    }));
}

function notStatedItems(program: Program): readonly OpenItem[] {
  return program.notStated.map((setting) => ({
    kind: 'notStated',
    id: setting,
    words: sentence`${settingOf(setting).label}: the booklet does not state it, and nobody tried.`,
    station: 'program',
  }));
}
