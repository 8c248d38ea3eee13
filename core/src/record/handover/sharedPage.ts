import type { SharedPage } from '@brine/contract/routes';
import type { LeaveBehindSheet } from './sheet.ts';

/** Only what is named here goes out: a field added to the sheet later does not slip along. */
export function sharedPage(sheet: LeaveBehindSheet): SharedPage {
  const { unit, site, company, control, date, groups, builtIn, watch, lost, alarms, next } = sheet;
  return { unit, site, company, control, date, groups, builtIn, watch, lost, alarms, next };
}
