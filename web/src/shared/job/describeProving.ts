import { checkWords, decisionNames, signNames } from '@brine/core/judgement/complaints';
import type { ProvingBody } from '@brine/core/record/entries';

const yesNo = (answer: boolean | null) => (answer === null ? 'not looked at' : answer ? 'yes' : 'no');

/** What an entry of Prove or Hand over says, in a few words. */
export function describeProving(body: ProvingBody): string {
  switch (body.kind) {
    case 'probe':
      return body.sensor ?? `${body.readings.length} readings`;
    case 'calibration':
      return body.record
        ? `${body.record.probe}, ${body.record.code ?? ''} ${body.record.after ?? ''} ${body.record.unit}`
        : 'taken off';
    case 'sign':
      return yesNo(body.seen);
    case 'complaintCheck':
      return yesNo(body.answer);
    case 'verdict':
      return body.decision ? decisionNames[body.decision] : 'none';
    case 'test':
      return [body.result ?? 'open', body.value, body.word]
        .filter((part) => part !== null && part !== '')
        .join(', ');
    case 'timer':
    case 'pullDown':
      return body.startedAt ? 'started' : 'cleared';
    case 'pullDownReading':
      return body.celsius === null ? 'taken back' : `${body.celsius.toFixed(1)} °C`;
    case 'log':
      return body.layout ? `${body.name}, ${body.samples} rows` : 'taken off';
    case 'alarmSeen':
      return [body.code, body.words, body.cleared ? 'cleared' : ''].filter(Boolean).join(', ');
    case 'followUp':
      return body.followUp
        ? `${body.followUp.due}, ${body.followUp.what}${body.followUp.done ? ', done' : ''}`
        : 'taken off';
    case 'signOff':
      return body.name || 'taken back';
    case 'keypadLocked':
      return yesNo(body.locked);
  }
}

/** What such an entry is about. */
export function provingSubject(body: ProvingBody): string {
  switch (body.kind) {
    case 'probe':
      return `Probe, ${body.role}`;
    case 'calibration':
      return 'Calibration';
    case 'sign':
      return signNames[body.sign];
    case 'complaintCheck':
      return checkWords[body.check].question;
    case 'verdict':
      return 'Verdict';
    case 'test':
      return `Test ${body.test}`;
    case 'timer':
      return `Timer of ${body.test}`;
    case 'pullDown':
      return 'Pull-down';
    case 'pullDownReading':
      return 'Pull-down, air';
    case 'log':
      return 'Log';
    case 'alarmSeen':
      return 'Alarm';
    case 'followUp':
      return 'Follow-up';
    case 'signOff':
      return 'Signed off';
    case 'keypadLocked':
      return 'Keypad locked';
  }
}
