import { writeFileSync } from 'node:fs';
import { damagedBackups } from './damagedBackups.e2e.ts';
import { anotherFinishes } from './anotherFinishes.e2e.ts';
import { badInput } from './badInput.e2e.ts';
import { firstLead, keys } from './desk.e2e.ts';
import { companysDay } from './companysDay.e2e.ts';
import { firstRun } from './firstRun.e2e.ts';
import { secondFactor } from './secondFactor.e2e.ts';
import { besideTheDemo } from './besideTheDemo.e2e.ts';
import { leadsMorning } from './leadsMorning.e2e.ts';
import { condenserFans } from './condenserFans.e2e.ts';
import { everyPage } from './everyPage.e2e.ts';
import { taps } from './taps.e2e.ts';
import { forecast } from './forecast.e2e.ts';
import { keptEntries } from './keptEntries.e2e.ts';
import { clearedStorage, newProgram, offlineStart, offlineVisit, twoPhones } from './offline.e2e.ts';
import { logAway } from './logAway.e2e.ts';
import { bookletPdf, bookletPhoto } from './bookletFiles.e2e.ts';
import { overTheBus } from './overTheBus.e2e.ts';
import { linkOnSite } from './linkOnSite.e2e.ts';
import { followed } from './follow.e2e.ts';
import { ownRegisters } from './ownRegisters.e2e.ts';
import { likeUnits } from './likeUnits.e2e.ts';
import { ownBox } from './ownBox.e2e.ts';
import { ownControl } from './ownControl.e2e.ts';
import { ownSurvey } from './ownSurvey.e2e.ts';
import { ownPhone } from './ownPhone.e2e.ts';
import { ownTools } from './tools.e2e.ts';
import { scan } from './scan.e2e.ts';
import { trip } from './trip.e2e.ts';
import { tuning } from './tuning.e2e.ts';
import { practice } from './practice.e2e.ts';
import { clusterWatched, oneOfTwoServers, startOptions, startStopBackupRestore } from './programs.e2e.ts';
import { ownAuthority } from './phones.e2e.ts';
import { provePath } from './provePath.e2e.ts';
import { serverAway } from './serverAway.e2e.ts';
import { compare } from './compare.e2e.ts';
import { conflict, secondBrowser } from './twoBrowsers.e2e.ts';
import { threeThermometers } from './whoIsRight.e2e.ts';
import { doubtfulBooklet } from './doubtfulBooklet.e2e.ts';
import { visitOf35 } from './visit.e2e.ts';
import { watchedDisplay } from './watch.e2e.ts';
import { displaysOfOthers, othersBeforeTheCamera } from './watchOthers.e2e.ts';
import { writing } from './writing.e2e.ts';
import { timerToControl, vehicleFridge } from './wiring.e2e.ts';
import { wholeJob } from './wholeJob.e2e.ts';

/** Every end-to-end test, the longest first; `node … e2e/run.ts whole` runs those whose name holds the word. */
const tests = [
  everyPage,
  wholeJob,
  companysDay,
  leadsMorning,
  firstRun,
  secondFactor,
  besideTheDemo,
  provePath,
  secondBrowser,
  serverAway,
  keptEntries,
  offlineStart,
  offlineVisit,
  twoPhones,
  clearedStorage,
  newProgram,
  taps,
  anotherFinishes,
  threeThermometers,
  doubtfulBooklet,
  visitOf35,
  watchedDisplay,
  displaysOfOthers,
  othersBeforeTheCamera,
  overTheBus,
  ownRegisters,
  likeUnits,
  followed,
  linkOnSite,
  damagedBackups,
  logAway,
  conflict,
  badInput,
  keys,
  firstLead,
  practice,
  writing,
  compare,
  ownControl,
  ownSurvey,
  ownPhone,
  bookletPdf,
  bookletPhoto,
  forecast,
  tuning,
  ownBox,
  timerToControl,
  vehicleFridge,
  condenserFans,
  trip,
  scan,
  ownTools,
];
/** These build, install and start as a user does: one after the other, with nothing beside them. */
const alone = [startStopBackupRestore, clusterWatched, oneOfTwoServers, startOptions, ownAuthority];
/** Each has a server, a database and a browser of its own, and waits much: two go side by side. */
const LANES = 2;
const wanted = process.argv[2] ?? '';
let passed = 0;
let failed = 0;

const chosen = (list: readonly (typeof tests)[number][]) => list.filter((t) => t.name.includes(wanted));

/**
 * Two browsers share two cores with everything else of CI, so a wait can run out that holds on any other day. What fails
 * is played once more on a fresh stage; that it did, and what it showed, is always printed, and twice is a failure.
 */
const TRIES = 2;

async function play(test: (typeof tests)[number]): Promise<void> {
  for (let attempt = 1; attempt <= TRIES; attempt += 1) {
    const started = Date.now();
    try {
      await test.run();
      passed += 1;
      const again = attempt > 1 ? ', at the second try' : '';
      process.stdout.write(
        `ok    ${test.name} (${Math.round((Date.now() - started) / 100) / 10} s${again})\n`,
      );
      return;
    } catch (error) {
      const last = attempt === TRIES;
      process.stdout.write(`${last ? 'FAIL ' : 'again'} ${test.name}\n${String((error as Error).stack)}\n`);
    }
  }
  failed += 1;
}

const waiting = chosen(tests);
await Promise.all(
  Array.from({ length: LANES }, async () => {
    for (let test = waiting.shift(); test; test = waiting.shift()) await play(test);
  }),
);
for (const test of chosen(alone)) await play(test);

if (passed + failed === 0) {
  process.stdout.write(`No test's name holds “${wanted}”.\n`);
  failed = 1;
}
if (process.env['BRINE_RESULTS'])
  writeFileSync(process.env['BRINE_RESULTS'], JSON.stringify({ passed, failed }));
process.exitCode = failed > 0 ? 1 : 0;
