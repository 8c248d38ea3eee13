import { computed, ref, type Ref } from 'vue';
import { LONGEST_TEXT } from '@brine/contract/lengths';
import {
  printCode,
  readTypedCode,
  resolutionOf,
  type CodeValue,
  type Parameter,
} from '@brine/core/controllers/definitions';
import { choiceWords } from '@brine/core/record/handover';
import { useJob } from '../shared/job/useJob.ts';
import { cutText } from '../shared/ui/cutText.ts';
import { useDraft } from '../shared/ui/useDraft.ts';

/** A code with the value it is to be set to. */
export interface SetCode {
  readonly parameter: Parameter;
  readonly value: CodeValue;
}

/** A field for any code of the new control: typed or chosen as its own display shows it, checked against range, steps and options. */
export function useCodeInput(code: Ref<SetCode>, taken: (value: CodeValue) => void = () => undefined) {
  const job = useJob();
  const problem = ref<string | null>(null);
  const display = computed(() => job.program.value.display!);
  const shown = computed(() => {
    const { parameter, value } = code.value;
    return parameter.encoding.type === 'number'
      ? printCode(Number(value), resolutionOf(parameter.encoding, display.value))
      : String(value);
  });
  const { text, settle, reset } = useDraft(() => shown.value);
  /** What may be chosen; null where a number is typed. */
  const options = computed<readonly { readonly value: string; readonly name: string }[] | null>(() => {
    const { parameter } = code.value;
    const { encoding } = parameter;
    if (encoding.type === 'choice')
      return encoding.options.map((o) => {
        const words = choiceWords(parameter, o.value);
        return { value: String(o.value), name: words ? `${o.value}: ${words}` : String(o.value) };
      });
    if (encoding.type !== 'preset') return null;
    const presets = job.replacement.value?.presets ?? [];
    const own = String(encoding.default);
    return [
      ...(presets.some((p) => p.id === own) ? [] : [{ value: own, name: `${own}: as it came` }]),
      ...presets.map((p) => ({ value: p.id, name: `${p.id}: ${p.name}` })),
    ];
  });

  async function write(value: CodeValue | null, why?: string): Promise<void> {
    await job.write({
      kind: 'plannedCode',
      code: code.value.parameter.code,
      value,
      ...(why && { why: cutText(why, LONGEST_TEXT) }),
    });
    if (value !== null) taken(value);
  }
  /** Takes what stands in the field, or says why not; what was typed stays. */
  async function commit(): Promise<void> {
    const read = readTypedCode(job.replacement.value!, code.value.parameter, text.value, display.value);
    problem.value = 'problem' in read ? read.problem : null;
    if ('problem' in read) return;
    if (read.value === code.value.value) {
      reset();
      return;
    }
    if (settle()) await write(read.value);
  }
  async function choose(value: string): Promise<void> {
    text.value = value;
    await commit();
  }
  return { text, problem, options, commit, choose, write };
}
