import type { TradeBody } from '@brine/core/record/entries';
import { hourMeterNames, serviceIntervals, tripSteps } from '@brine/core/judgement/transport';
import { factWords } from './factWords.ts';

/** What an entry of a condenser's or a transport unit's tools says, in a few words. */
export function describeTrade(body: TradeBody): string {
  switch (body.kind) {
    case 'fact':
      return body.value === null ? 'as usual' : `${body.value} ${factWords[body.fact].unit}`.trim();
    case 'tripStep':
      return [{ done: 'in order', fault: 'not in order' }[body.state ?? 'done'], body.value, body.word]
        .filter((part) => part !== null && part !== '')
        .join(', ');
    case 'tripReading':
      return body.celsius === null ? 'taken back' : `${body.celsius.toFixed(1)} °C`;
    case 'doorStop':
      return body.minutes === null ? 'taken back' : `${body.minutes} min open`;
    case 'frostNote':
      return body.level === null ? 'taken back' : ['none', 'thin', 'middling', 'thick'][body.level]!;
    case 'humidity':
      return body.percent === null
        ? 'taken back'
        : [`${body.percent} %`, ...(body.coil ? [`coil ${body.coil}`] : [])].join(', ');
    case 'runOnStep':
      return body.minutes === null ? 'taken back' : `${body.minutes} min`;
    case 'hours':
      return body.hours === null ? 'taken back' : `${body.hours} h`;
    case 'serviced':
      return body.atHours === null ? 'taken back' : `at ${body.atHours} h`;
    case 'alarmSign':
      return body.sign ?? 'not said';
  }
}

/** What such an entry is about. */
export function tradeSubject(body: TradeBody): string {
  switch (body.kind) {
    case 'fact':
      return factWords[body.fact].label;
    case 'tripStep':
      return `Trip, ${tripSteps.find((s) => s.id === body.step)?.title.toLowerCase() ?? body.step}`;
    case 'tripReading':
      return body.place === 'return' ? 'Trip, return air' : 'Trip, product';
    case 'doorStop':
      return 'Trip, doors open';
    case 'frostNote':
      return `Frost, row ${body.row}, column ${body.column}`;
    case 'humidity':
      return 'Humidity read';
    case 'runOnStep':
      return 'Run-on of the fans changed';
    case 'hours':
      return hourMeterNames[body.meter];
    case 'serviced':
      return `Service: ${serviceIntervals.find((s) => s.id === body.service)?.what ?? body.service}`;
    case 'alarmSign':
      return 'Sign of the alarm';
  }
}
