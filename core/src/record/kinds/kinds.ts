import type { EntryBody, EntryKind } from '@brine/contract/entries';
import type { CodeNames, KindOfEntry } from './kind.ts';
import { control } from './control.ts';
import { found } from './found.ts';
import { answer } from './answer.ts';
import { planned } from './planned.ts';
import { plannedCode } from './plannedCode.ts';
import { keyed } from './keyed.ts';
import { note } from './note.ts';
import { sheet } from './sheet.ts';
import { handedOver } from './handedOver.ts';
import { mechanical } from './mechanical.ts';
import { startedFrom } from './startedFrom.ts';
import { unitLoad } from './unitLoad.ts';
import { foundSupply } from './foundSupply.ts';
import { foundPart } from './foundPart.ts';
import { foundWire } from './foundWire.ts';
import { doubt } from './doubt.ts';
import { measure } from './measure.ts';
import { power } from './power.ts';
import { reading } from './reading.ts';
import { wired } from './wired.ts';
import { planWire } from './planWire.ts';
import { picture } from './picture.ts';
import { probe } from './probe.ts';
import { calibration } from './calibration.ts';
import { sign } from './sign.ts';
import { complaintCheck } from './complaintCheck.ts';
import { verdict } from './verdict.ts';
import { test } from './test.ts';
import { timer } from './timer.ts';
import { pullDown } from './pullDown.ts';
import { pullDownReading } from './pullDownReading.ts';
import { log } from './log.ts';
import { alarmSeen } from './alarmSeen.ts';
import { followUp } from './followUp.ts';
import { signOff } from './signOff.ts';
import { keypadLocked } from './keypadLocked.ts';
import { fact } from './fact.ts';
import { tripStep } from './tripStep.ts';
import { tripReading } from './tripReading.ts';
import { doorStop } from './doorStop.ts';
import { frostNote } from './frostNote.ts';
import { humidity } from './humidity.ts';
import { runOnStep } from './runOnStep.ts';
import { hours } from './hours.ts';
import { serviced } from './serviced.ts';
import { alarmSign } from './alarmSign.ts';

/** Every kind of entry; the compiler holds the list to the contract. */
const kinds: { readonly [Kind in EntryKind]: KindOfEntry<Extract<EntryBody, { kind: Kind }>> } = {
  control,
  found,
  answer,
  planned,
  plannedCode,
  keyed,
  note,
  sheet,
  handedOver,
  mechanical,
  startedFrom,
  unitLoad,
  foundSupply,
  foundPart,
  foundWire,
  doubt,
  measure,
  power,
  reading,
  wired,
  planWire,
  picture,
  probe,
  calibration,
  sign,
  complaintCheck,
  verdict,
  test,
  timer,
  pullDown,
  pullDownReading,
  log,
  alarmSeen,
  followUp,
  signOff,
  keypadLocked,
  fact,
  tripStep,
  tripReading,
  doorStop,
  frostNote,
  humidity,
  runOnStep,
  hours,
  serviced,
  alarmSign,
};

const kindOf = (body: EntryBody) => kinds[body.kind] as KindOfEntry<EntryBody>;

/** The register an entry writes, or null where entries only add up. Two entries of one register replace each other. */
export const registerOf = (body: EntryBody): string | null => kindOf(body).key(body);

/** What an entry is about, in a few words. */
export const aboutEntry = (body: EntryBody, names?: CodeNames): string => kindOf(body).about(body, names);

/** What an entry says, in a few words. */
export const saidByEntry = (body: EntryBody): string => kindOf(body).says(body);

/** An entry without its job at hand: what it is about and what it says, “Found Cp: 300”. */
export function describeEntry(body: EntryBody): string {
  const about = aboutEntry(body);
  return `${about}${about.endsWith('?') ? '' : ':'} ${saidByEntry(body)}`;
}
