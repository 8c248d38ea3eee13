import type { SharedPage } from '@brine/contract/routes';
import type { LeaveBehindSheet } from './sheet.ts';

/**
 * What anybody with the link sees: as fact only what is known to be in the unit, and beside it what is planned and not in it yet. Only what is named here goes out: a
 * field added to the sheet later does not slip along.
 */
export function sharedPage(sheet: LeaveBehindSheet): SharedPage {
  const { unit, site, company, phone, control, date, setTo, builtIn, watch, lost, alarms, next } = sheet;
  const lines = sheet.groups.map(({ title, lines: all }) => ({
    title,
    lines: all
      .filter(({ value }) => value !== '')
      .map(({ code, meaning, value, found, remark }) => ({ code, meaning, value, found, remark })),
  }));
  return {
    unit,
    site,
    company,
    phone,
    control,
    date,
    setTo,
    groups: lines.filter((group) => group.lines.length > 0),
    planned: sheet.groups.flatMap(({ lines: all }) =>
      all.flatMap(({ code, meaning, planned }) => (planned === '' ? [] : [{ code, meaning, planned }])),
    ),
    builtIn,
    watch,
    open: sheet.open.map(({ words, because }) => ({ words, because })),
    lost,
    alarms,
    next,
  };
}
