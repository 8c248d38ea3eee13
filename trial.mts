import { otherBoxes } from './core/testing/otherBoxes/boxes.ts';
import { runOther } from './core/testing/otherBoxes/run.ts';
import { chance, normal } from './core/src/foundation/statistics/index.ts';
import { whoIsRight } from './core/src/judgement/instruments/whoIsRight.ts';
import { usualOfKind } from './core/src/judgement/instruments/instruments.ts';
const boxes: any[] = otherBoxes as any;
const random = chance(7);
const N = +(process.argv[2] ?? 200);
let first0 = 0, first = 0, accusedHonest = 0, named = 0, tries = 0, honestAccusedNoLie = 0, noLie = 0, byN: any = {};
const moments: any[] = [];
for (const box of boxes.slice(0, 8)) {
  const lag = { th: [NaN], lo: [NaN] } as any;
  let last: any = null, lastStart = 0, period = 0, runT = 0, share = 0.4;
  let prev = false;
  try {
  runOther(box, box.settings, { days: 1, seed: box.seed, watch: ({ t, plant, compressor, phase }: any) => {
    if (isNaN(lag.th[0])) { lag.th[0] = plant.air.t; lag.lo[0] = plant.air.t; }
    lag.th[0] += (plant.air.t - lag.th[0]) / 35; lag.lo[0] += (plant.air.t - lag.lo[0]) / 400;
    if (compressor && !prev) { if (lastStart) { period = t - lastStart; share = runT / period; } lastStart = t; runT = 0; }
    if (compressor) runT++;
    prev = compressor;
    if (t > 3600 && t % 997 === 0 && phase === 'regulate' && period > 0 && period < 5000) {
      const goods = plant.goods[1];
      moments.push({ box, probe: plant.probe, air: plant.air.t, supply: plant.supply, goods, th: lag.th[0], lo: lag.lo[0], running: compressor, period, share });
    }
  } });
  } catch (e: any) { console.log(box.name, e.message); }
}
console.log(moments.length, 'moments');
for (let n = 0; n < N; n++) {
  const m = moments[Math.floor(random() * moments.length)];
  const count = 2 + Math.floor(random() * 3);
  const kinds = ['display', ...['thermometer', 'logger', 'product', 'gun'].sort(() => random() - 0.5).slice(0, count - 1)] as any[];
  const lie = random() < 0.85 ? Math.floor(random() * count) : -1;
  const errs = kinds.map((k, i) => normal(random) * usualOfKind[k as 'gun'].accuracyK / 2 * 0.9);
  if (lie >= 0) errs[lie] = (random() < 0.5 ? -1 : 1) * (0.5 + 2.5 * random());
  const truth: any = { display: m.probe, thermometer: m.th, logger: m.lo, product: m.goods, gun: m.goods + 0.3 };
  const place: any = { display: 'returnAir', thermometer: 'returnAir', logger: 'returnAir', product: 'goods', gun: 'surface' };
  const s = m.box.settings; const sp = s['regulation.setpoint'].value; const df = s['regulation.differential'].value;
  const e = errs[0];
  const step = (x: number, q: number) => Math.round(x / q) * q;
  const instruments = kinds.map((k, i) => ({ id: k, kind: k, place: place[k], reads: step(truth[k] + errs[i], 0.1), accuracyK: null, lag: null, monthsSinceCheck: 6 }));
  const q: any = { instruments, cycle: { low: sp + e, high: sp + df + e, period: m.period, runShare: Math.min(0.9, Math.max(0.1, m.share)) }, running: m.running, made: [] };
  // the control turns at values that it reads itself: band in display's terms
  q.cycle.low = sp; q.cycle.high = sp + df; instruments[0].reads = step(m.probe, 0.1); for (let i = 1; i < count; i++) instruments[i].reads = step(truth[kinds[i]] - e + errs[i], 0.1);
  let r = whoIsRight(q);
  const f0 = r.allRight > r.suspects[0].odds ? null : r.suspects[0].id;
  const liar = lie >= 0 ? kinds[lie] : null;
  if (r.check) {
    const c = r.check.check; const i = kinds.indexOf(c.of), j = c.kind === 'sideBySide' ? kinds.indexOf(c.beside) : -1;
    q.made = [{ ...c, found: errs[i] - (j >= 0 ? errs[j] : 0) + normal(random) * 0.1 }];
    r = whoIsRight(q);
  }
  tries++;
  if (liar) { named++; if (r.suspects[0].id === liar) first++; if (whoIsRight({ ...q, made: [] }).suspects[0].id === liar) first0++; if (r.wrong && r.wrong !== liar) accusedHonest++;
    byN[count] ??= [0, 0]; byN[count][1]++; if (r.suspects[0].id === liar) byN[count][0]++; }
  else { noLie++; if (r.wrong) honestAccusedNoLie++; }
}
console.log({ named, firstNoCheck: first0 / named, firstAfterCheck: first / named, accusedHonest: accusedHonest / named, noLie, honestAccusedNoLie }, byN);
