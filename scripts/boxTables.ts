import {
  boxOf,
  designDay,
  runHours,
  templateIds,
  templates,
  type TemplateId,
} from '@brine/core/machines/box';
import { plan, valuesOf } from '@brine/core/judgement/plan';
import { judgement } from '@brine/core/judgement/verdict';
import { plainUnit } from '../core/testing/units.ts';
import { writeMarkedTables } from './markedTables.ts';
import { coldKinds, unitsOf } from '../core/testing/everyUnit.ts';

/** Writes the tables of docs/boxes.md: what each box was sized for, how it stands on its ordinary day, and how many plans stand theirs. */
const path = new URL('../docs/boxes.md', import.meta.url);
const round = (value: number, digits = 0) => value.toFixed(digits);

function sizes(): string {
  const rows = templateIds
    .filter((id) => id !== 'chilledWaterTank' && id !== 'hotCupboard')
    .map((id) => {
      const t = templates[id];
      const day = designDay(t, t.inside);
      const { capacity } = boxOf(id);
      return `| ${t.name} | ${t.volume} | ${t.inside} | ${round(day.walls)} | ${round(day.door)} | ${round(day.goods)} | ${round(day.fans + day.lights)} | ${round(capacity)} | ${round((day.total * 24) / capacity, 1)} of ${runHours(t.defrost)} |`;
    });
  return [
    '| Box | m³ | °C | Walls, W | Door, W | Goods, W | Fans, lights, W | Machine, W | Hours on the design day |',
    '| --- | --- | --- | --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
}

function ordinary(): string {
  const rows = templateIds.map((id: TemplateId) => {
    const unit = { ...plainUnit(id), displayUnit: 'celsius' as const };
    const { day } = judgement({ unit, values: valuesOf(plan(unit)), remedies: false });
    const show = (value: number | null, digits = 0) => (value === null ? '–' : round(value, digits));
    return `| ${templates[id].name} | ${show(day!.dutyPercent)} | ${show(day!.startsPerHour, 1)} | ${show(day!.airMin, 1)} to ${show(day!.airMax, 1)} | ${show(day!.productMax, 1)} | ${show(day!.iceLeftGrams)} | ${show(day!.defrosts)} |`;
  });
  return [
    '| Box | Running, % | Starts an hour | Air, °C | Product at most, °C | Ice left, g | Defrosts |',
    '| --- | --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
}

function plans(): string {
  const rows = coldKinds.map((kind) => {
    const list = unitsOf(kind);
    const bad = list.filter((unit) =>
      judgement({ unit, values: valuesOf(plan(unit)), remedies: false }).findings.some(
        (f) => f.severity === 'error',
      ),
    );
    return { kind, all: list.length, bad: bad.length };
  });
  const all = rows.reduce((sum, r) => sum + r.all, 0);
  const bad = rows.reduce((sum, r) => sum + r.bad, 0);
  return [
    '| Kind | Plans | Without an error | |',
    '| --- | --- | --- | --- |',
    ...rows.map(
      ({ kind, all: n, bad: b }) => `| ${kind} | ${n} | ${n - b} | ${round((100 * (n - b)) / n, 1)} % |`,
    ),
    `| **all** | ${all} | ${all - bad} | ${round((100 * (all - bad)) / all, 1)} % |`,
  ].join('\n');
}

writeMarkedTables(path, { sizes: sizes(), ordinary: ordinary(), plans: plans() });
