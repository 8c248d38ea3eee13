import { computed } from 'vue';
import { rowsToCheck } from './rowsToCheck.ts';
import type { LiveWriting } from './useWriting.ts';
import { blank } from './writing.ts';

export type WriterStepId =
  'booklet' | 'meanings' | 'connections' | 'builtIn' | 'keys' | 'shortcuts' | 'presets' | 'registers' | 'try';

/** A step of writing a controller down: what is done there, in a few words, and whether something is open. */
export interface WriterStep {
  readonly id: WriterStepId;
  readonly name: string;
  readonly says: string;
  /** `open`: something waits; `may`: may be left as it is; `done`. */
  readonly state: 'open' | 'may' | 'done';
}

const counted = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** The steps of a controller that is being written down, each with what is done and what is open. */
export const useWriterSteps = (live: LiveWriting) =>
  computed<readonly WriterStep[]>(() => {
    const { connections, alarms, builtIn, shortcuts, presets, pattern, answers } = live.writing.value;
    const picked = pattern !== blank.pattern || Object.keys(answers).length > 0;
    const rows = live.used.value.length;
    const check = rowsToCheck(live).length;
    const notStated = (['supply', 'relays', 'probes', 'inputs'] as const).filter(
      (of) => connections[of] === null,
    );
    const deduced = live.implied.value.filter(({ setting }) => !(setting in builtIn)).length;
    const registers = live.registers.value;
    const inDoubt = registers.rows.filter(({ doubts }) => doubts.length > 0).length;
    const step = (id: WriterStepId, name: string, says: string, state: WriterStep['state']) => ({
      id,
      name,
      says,
      state,
    });
    return [
      step(
        'booklet',
        'Booklet',
        rows === 0 ? 'no table yet' : counted(rows, 'row', 'rows'),
        rows === 0 ? 'open' : 'done',
      ),
      step(
        'meanings',
        'Meanings',
        rows === 0 ? '' : check === 0 ? 'all checked' : `${check} to check`,
        rows === 0 || check > 0 ? 'open' : 'done',
      ),
      step(
        'connections',
        'Connections',
        notStated.length === 0 ? 'stated' : `${notStated.length} of 4 not stated`,
        notStated.length === 0 ? 'done' : 'may',
      ),
      step(
        'builtIn',
        'Built in',
        rows === 0 ? '' : deduced === 0 ? 'confirmed' : `${deduced} to confirm`,
        rows > 0 && deduced === 0 ? 'done' : 'may',
      ),
      step(
        'keys',
        'Keys',
        live.isShown.value
          ? live.panel.value
            ? 'played back'
            : 'to be shown'
          : picked
            ? 'a pattern'
            : 'the usual pattern',
        !live.panel.value ? 'open' : live.isShown.value || picked ? 'done' : 'may',
      ),
      step(
        'shortcuts',
        'Shortcuts and alarms',
        [
          shortcuts.length > 0 ? counted(shortcuts.length, 'direct action', 'direct actions') : '',
          alarms === null ? 'alarms not stated' : counted(alarms.length, 'alarm code', 'alarm codes'),
        ]
          .filter(Boolean)
          .join(', '),
        alarms === null ? 'may' : 'done',
      ),
      step(
        'presets',
        'Presets',
        presets.length === 0 ? 'none' : counted(presets.length, 'preset', 'presets'),
        live.preset.value.problems.length > 0 ? 'open' : 'done',
      ),
      step(
        'registers',
        'Registers',
        registers.rows.length === 0
          ? 'none'
          : inDoubt > 0
            ? `${inDoubt} to check`
            : counted(registers.registers.length, 'register', 'registers'),
        registers.rows.length === 0 && registers.problems.length === 0
          ? 'may'
          : inDoubt > 0 || registers.problems.length > 0
            ? 'open'
            : 'done',
      ),
      step('try', 'Try and save', '', 'open'),
    ];
  });
