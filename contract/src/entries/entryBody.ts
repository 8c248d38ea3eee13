import { control, type Control } from './control.ts';
import { found, type Found } from './found.ts';
import { answer, type Answer } from './answer.ts';
import { planned, type Planned } from './planned.ts';
import { plannedCode, type PlannedCode } from './plannedCode.ts';
import { keyed, type Keyed } from './keyed.ts';
import { note, type Note } from './note.ts';
import { sheet, type Sheet } from './sheet.ts';
import { handedOver, type HandedOver } from './handedOver.ts';
import { mechanical, type Mechanical } from './mechanical.ts';
import { startedFrom, type StartedFrom } from './startedFrom.ts';
import { unitLoad, type UnitLoad } from './unitLoad.ts';
import { foundSupply, type FoundSupply } from './foundSupply.ts';
import { foundPart, type FoundPart } from './foundPart.ts';
import { foundWire, type FoundWire } from './foundWire.ts';
import { doubt, type Doubt } from './doubt.ts';
import { measure, type Measure } from './measure.ts';
import { power, type Power } from './power.ts';
import { reading, type Reading } from './reading.ts';
import { wired, type Wired } from './wired.ts';
import { planWire, type PlanWire } from './planWire.ts';
import { picture, type Picture } from './picture.ts';
import { probe, type Probe } from './probe.ts';
import { calibration, type Calibration } from './calibration.ts';
import { sign, type Sign } from './sign.ts';
import { complaintCheck, type ComplaintCheck } from './complaintCheck.ts';
import { verdict, type Verdict } from './verdict.ts';
import { test, type Test } from './test.ts';
import { timer, type Timer } from './timer.ts';
import { pullDown, type PullDown } from './pullDown.ts';
import { pullDownReading, type PullDownReading } from './pullDownReading.ts';
import { log, type Log } from './log.ts';
import { alarmSeen, type AlarmSeen } from './alarmSeen.ts';
import { followUp, type FollowUp } from './followUp.ts';
import { signOff, type SignOff } from './signOff.ts';
import { keypadLocked, type KeypadLocked } from './keypadLocked.ts';
import { fact, type Fact } from './fact.ts';
import { tripStep, type TripStep } from './tripStep.ts';
import { tripReading, type TripReading } from './tripReading.ts';
import { doorStop, type DoorStop } from './doorStop.ts';
import { frostNote, type FrostNote } from './frostNote.ts';
import { humidity, type Humidity } from './humidity.ts';
import { runOnStep, type RunOnStep } from './runOnStep.ts';
import { hours, type Hours } from './hours.ts';
import { serviced, type Serviced } from './serviced.ts';
import { alarmSign, type AlarmSign } from './alarmSign.ts';
import { learned, type Learned } from './learned.ts';
import { boxChoice, type BoxChoice } from './boxChoice.ts';
import { predicted, type Predicted } from './predicted.ts';
import { heldAgainst, type HeldAgainst } from './heldAgainst.ts';
import { readBack, type ReadBack } from './readBack.ts';
import { visit, type Visit } from './visit.ts';
import { borrowed, type Borrowed } from './borrowed.ts';
import { copiedFrom, type CopiedFrom } from './copiedFrom.ts';
import { siteQuestion, type SiteQuestion } from './siteQuestion.ts';

/** Every kind of entry with the schema of its body, in the order they are listed to a person. */
export const entrySchemas = {
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
  learned,
  boxChoice,
  predicted,
  heldAgainst,
  readBack,
  visit,
  borrowed,
  siteQuestion,
  copiedFrom,
} as const;

export type EntryKind = keyof typeof entrySchemas;

/** What an entry says: one of the kinds. */
export type EntryBody =
  | Control
  | Found
  | Answer
  | Planned
  | PlannedCode
  | Keyed
  | Note
  | Sheet
  | HandedOver
  | Mechanical
  | StartedFrom
  | UnitLoad
  | FoundSupply
  | FoundPart
  | FoundWire
  | Doubt
  | Measure
  | Power
  | Reading
  | Wired
  | PlanWire
  | Picture
  | Probe
  | Calibration
  | Sign
  | ComplaintCheck
  | Verdict
  | Test
  | Timer
  | PullDown
  | PullDownReading
  | Log
  | AlarmSeen
  | FollowUp
  | SignOff
  | KeypadLocked
  | Fact
  | TripStep
  | TripReading
  | DoorStop
  | FrostNote
  | Humidity
  | RunOnStep
  | Hours
  | Serviced
  | AlarmSign
  | Learned
  | BoxChoice
  | Predicted
  | HeldAgainst
  | ReadBack
  | Visit
  | Borrowed
  | SiteQuestion
  | CopiedFrom;
