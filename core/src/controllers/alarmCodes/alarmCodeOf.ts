import type { AlarmCause } from '../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definitions/index.ts';

/** How booklets word a cause; the first row whose words fit is taken, a vaguer one only where no other does. */
const wordings: Readonly<Record<AlarmCause, readonly RegExp[]>> = {
  high: [/warmer|warm|above|hotter|high/i, /outside|out of (range|band)/i],
  low: [/colder|cold|below|low/i, /outside|out of (range|band)/i],
  door: [/door/i],
  input: [/input|contact/i],
  airProbe: [/(air|box|room|return).*(probe|sensor)/i, /^(?!.*coil).*(probe|sensor)/i],
  coilProbe: [/coil.*(probe|sensor)/i],
};

/** The control's own code for a cause; null where its booklet has none. */
export function alarmCodeOf(definition: ControllerDefinition, cause: AlarmCause): string | null {
  const codes = definition.alarmCodes ?? [];
  const probe = /probe|sensor/i;
  // What a transport unit says of its engine is none of the box.
  const engine = /pressure|\boil\b|coolant|battery|fuel|belt|engine|phase/i;
  for (const words of wordings[cause]) {
    const found = codes.find(
      ({ means }) =>
        words.test(means) && !engine.test(means) && (cause.endsWith('Probe') || !probe.test(means)),
    );
    if (found) return found.code;
  }
  return null;
}
