import { findQuestion, type EntryBody } from '@brine/core/jobs';
import { isQuantity, printQuantity } from '@brine/core/quantities';
import { isSettingId, printValue, settingOf } from '@brine/core/settings';
import { parameterOf } from '@brine/core/controllers';
import type { OpenJob } from '../shared/job/useJob.ts';

/** What an entry says, in a few words. */
export function describeBody(body: EntryBody): string {
  switch (body.kind) {
    case 'control':
      return body.definition?.family ?? 'none';
    case 'found':
      return body.value ?? 'taken off';
    case 'answer': {
      if (body.value === null) return 'no answer';
      const form = findQuestion(body.question)?.form;
      const words = (id: unknown) =>
        (form && 'options' in form ? form.options[String(id)] : undefined) ?? String(id);
      if (isQuantity(body.value)) return printQuantity(body.value);
      if (typeof body.value === 'boolean') return body.value ? 'yes' : 'no';
      return Array.isArray(body.value) ? body.value.map(words).join(', ') : words(body.value);
    }
    case 'planned':
      return body.value === null
        ? 'as planned'
        : isSettingId(body.setting)
          ? printValue(settingOf(body.setting), body.value)
          : String(body.value);
    case 'plannedCode':
      return body.value === null ? 'as planned' : String(body.value);
    case 'keyed':
      return body.state === 'showsElse'
        ? `shows ${body.shown}`
        : body.state === 'skipped'
          ? 'skipped'
          : body.state === 'keyed'
            ? `keyed ${body.value}`
            : 'open';
    case 'note':
      return body.text;
    case 'sheet':
      return `sheet, ${body.sheet}`;
    case 'handedOver':
      return `handed to ${body.to || 'the site'}`;
  }
}

/** An entry without its job at hand: what it is about and what it says, “Found Cp: 300”. */
export function describeEntry(body: EntryBody): string {
  const about = subject(body);
  return `${about}${about.endsWith('?') ? '' : ':'} ${describeBody(body)}`;
}

function subject(body: EntryBody): string {
  switch (body.kind) {
    case 'control':
      return body.role === 'old' ? 'The old control' : 'The new control';
    case 'found':
      return `Found ${body.code}`;
    case 'answer':
      return findQuestion(body.question)?.label ?? body.question;
    case 'planned':
      return `Planned ${isSettingId(body.setting) ? settingOf(body.setting).label : body.setting}`;
    case 'plannedCode':
      return `Planned ${body.code}`;
    case 'keyed':
      return `At the cabinet, ${body.code}`;
    case 'note':
      return 'Note';
    case 'sheet':
      return 'Kept';
    case 'handedOver':
      return 'Handed over';
  }
}

/** What a register holds, in words: “Found: hY, Width below it”. */
export function describeRegister(register: string, job: OpenJob): string {
  const at = register.indexOf(':');
  const [kind, id] = at < 0 ? [register, ''] : [register.slice(0, at), register.slice(at + 1)];
  const named = (definition: typeof job.old.value) =>
    [id, definition && parameterOf(definition, id)?.name].filter(Boolean).join(', ');
  switch (kind) {
    case 'found':
      return `Found: ${named(job.old.value)}`;
    case 'keyed':
      return `At the cabinet: ${named(job.replacement.value)}`;
    case 'plannedCode':
      return `Planned: ${named(job.replacement.value)}`;
    case 'planned':
      return `Planned: ${isSettingId(id) ? settingOf(id).label : id}`;
    case 'answer':
      return findQuestion(id)?.label ?? id;
    case 'control':
      return id === 'old' ? 'The old control' : 'The new control';
    default:
      return 'Handed over';
  }
}
