import type { LeaveBehindSheet } from './sheet.ts';

/** What anybody with the link sees of a unit: settings, alarm codes, what to watch, next dates. No pictures, no people, no access codes. */
export interface SharedPage {
  readonly unit: string;
  readonly site: string;
  readonly company: string;
  readonly control: string;
  readonly date: string;
  readonly groups: LeaveBehindSheet['groups'];
  readonly builtIn: readonly string[];
  readonly watch: readonly string[];
  readonly lost: readonly string[];
  readonly alarms: LeaveBehindSheet['alarms'];
  readonly next: LeaveBehindSheet['next'];
}

/** Only what is named here goes out: a field added to the sheet later does not slip along. */
export function sharedPage(sheet: LeaveBehindSheet): SharedPage {
  const { unit, site, company, control, date, groups, builtIn, watch, lost, alarms, next } = sheet;
  return { unit, site, company, control, date, groups, builtIn, watch, lost, alarms, next };
}
