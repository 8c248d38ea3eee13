import type { CodeStep, Menu, Panel, PanelKey, Press } from '../../definitions/index.ts';

/** What one must know of a panel beside its pattern: how long to hold, the access code, when it closes and what is kept then. */
export interface PanelAnswers {
  readonly holdSeconds: number;
  readonly saveSeconds: number;
  readonly code: string;
  readonly timeOutSeconds: number;
  readonly keeps: 'edit' | 'taken' | 'nothing';
  /** Labels of the keys by their id, as they are printed on the front. */
  readonly labels: Readonly<Record<string, string>>;
}

/** A way panels work, in a technician's words, with the questions it leaves open. */
export interface PanelPattern {
  readonly id: string;
  readonly name: string;
  readonly asks: readonly (keyof Omit<PanelAnswers, 'labels'>)[];
  readonly keys: readonly PanelKey[];
  readonly suggested: Omit<PanelAnswers, 'labels'>;
  build(answers: PanelAnswers): Omit<Panel, 'keys'>;
}

const three: readonly PanelKey[] = [
  { id: 'set', label: 'SET' },
  { id: 'up', label: '▲' },
  { id: 'down', label: '▼' },
];
const four: readonly PanelKey[] = [...three, { id: 'other', label: 'FN' }];
const usual: Omit<PanelAnswers, 'labels'> = {
  holdSeconds: 5,
  saveSeconds: 3,
  code: '',
  timeOutSeconds: 60,
  keeps: 'taken',
};

const closes = ({ timeOutSeconds, keeps }: PanelAnswers): Pick<Menu, 'timeOut'> =>
  timeOutSeconds > 0 ? { timeOut: { seconds: timeOutSeconds, keeps } } : {};
const counted = (code: string): readonly CodeStep[] =>
  code === '' ? [] : [{ code, by: 'count', more: 'up', less: 'down', take: 'set' }];
const one = (menu: Omit<Menu, 'id'>, more: Partial<Panel> = {}): Omit<Panel, 'keys'> => ({
  display: { digits: 4, text: false },
  ...more,
  menus: [{ id: 'all', ...menu }],
});
const listEdit = { more: 'up', less: 'down', take: 'set' } as const;

/** A flat list: arrows go through it, the key opens and takes, holding the key leaves. */
function listMenu(press: Press, a: PanelAnswers): Omit<Menu, 'id'> {
  return {
    enter: [{ press, seconds: a.holdSeconds }, ...counted(a.code)],
    move: { next: 'up', previous: 'down', open: 'set' },
    edit: listEdit,
    stores: a.keeps === 'nothing' ? 'leaving' : 'taken',
    leave: [{ press: 'set', seconds: a.saveSeconds, then: 'save' }],
    ...closes(a),
  };
}

/** The patterns to pick from when a controller is written down, commonest first. */
export const panelPatterns: readonly PanelPattern[] = [
  {
    id: 'holdList',
    name: 'Hold one key; arrows go through the list; the key opens and takes; hold it to leave',
    asks: ['holdSeconds', 'code', 'saveSeconds', 'timeOutSeconds', 'keeps'],
    keys: three,
    suggested: usual,
    build: (a) => one(listMenu('set', a)),
  },
  {
    id: 'chordList',
    name: 'Hold both arrows together, count up a code; arrows go through the list; hold the key to leave',
    asks: ['holdSeconds', 'code', 'saveSeconds', 'timeOutSeconds', 'keeps'],
    keys: three,
    suggested: usual,
    build: (a) => one(listMenu(['up', 'down'], a)),
  },
  {
    id: 'saveOther',
    name: 'Hold one key; arrows go through the list; the key opens and takes; hold another key to save',
    asks: ['holdSeconds', 'code', 'saveSeconds', 'timeOutSeconds', 'keeps'],
    keys: four,
    suggested: { ...usual, keeps: 'nothing' },
    build: (a) =>
      one({ ...listMenu('set', a), leave: [{ press: 'other', seconds: a.saveSeconds, then: 'save' }] }),
  },
  {
    id: 'leaveOther',
    name: 'Hold one key; arrows go through the list; the key opens and takes; a short press of another key leaves',
    asks: ['holdSeconds', 'code', 'timeOutSeconds', 'keeps'],
    keys: four,
    suggested: usual,
    build: (a) => one({ ...listMenu('set', a), leave: [{ press: 'other', then: 'save' }] }),
  },
  {
    id: 'pressThrough',
    name: 'Hold one key; an arrow goes through the list; the key opens and takes; press on until no code shows: that saves',
    asks: ['holdSeconds', 'code', 'timeOutSeconds', 'keeps'],
    keys: three,
    suggested: usual,
    build: (a) => {
      const { leave: _, ...menu } = listMenu('set', a);
      return one({ ...menu, move: { next: 'up', previous: 'down', open: 'set', end: 'save' } });
    },
  },
  {
    id: 'oneKeyWalk',
    name: 'Hold the key; the same key steps from value to value; arrows change what shows',
    asks: ['holdSeconds', 'code', 'saveSeconds', 'timeOutSeconds', 'keeps'],
    keys: three,
    suggested: { ...usual, code: '', keeps: 'edit', timeOutSeconds: 30 },
    build: (a) =>
      one({
        enter: [{ press: 'set', seconds: a.holdSeconds }, ...counted(a.code)],
        move: { next: 'set' },
        edit: { starts: 'atOnce', more: 'up', less: 'down', take: 'move' },
        stores: a.keeps === 'nothing' ? 'leaving' : 'taken',
        leave: [{ press: 'set', seconds: a.saveSeconds, then: 'save' }],
        ...closes(a),
      }),
  },
  {
    id: 'folders',
    name: 'Hold one key; folders; a second key steps back, and out; falls out by itself',
    asks: ['holdSeconds', 'code', 'timeOutSeconds', 'keeps'],
    keys: [
      { id: 'set', label: 'SET' },
      { id: 'back', label: 'BACK' },
      { id: 'up', label: '▲' },
      { id: 'down', label: '▼' },
    ],
    suggested: { ...usual, code: '', timeOutSeconds: 30 },
    build: (a) =>
      one({
        enter: [{ press: 'set', seconds: a.holdSeconds }, ...counted(a.code)],
        layout: 'path',
        move: { next: 'down', previous: 'up', open: 'set', back: 'back', backAtRoot: 'save' },
        edit: listEdit,
        stores: a.keeps === 'nothing' ? 'leaving' : 'taken',
        ...closes(a),
      }),
  },
  {
    id: 'holdAndTurn',
    name: 'Hold two keys; arrows go through the list; hold the hand key and turn with the arrows; letting go takes',
    asks: ['holdSeconds', 'saveSeconds', 'timeOutSeconds', 'keeps'],
    keys: [
      { id: 'set', label: 'HAND' },
      { id: 'up', label: '▲' },
      { id: 'down', label: '▼' },
    ],
    suggested: { ...usual, code: '', timeOutSeconds: 20 },
    build: (a) =>
      one({
        enter: [{ press: ['set', 'down'], seconds: a.holdSeconds }],
        move: { next: 'up', previous: 'down' },
        edit: { starts: 'holding', holding: 'set', more: 'up', less: 'down', take: 'release' },
        stores: a.keeps === 'nothing' ? 'leaving' : 'taken',
        leave: [{ press: ['set', 'down'], seconds: a.saveSeconds, then: 'save' }],
        ...closes(a),
      }),
  },
  {
    id: 'confirm',
    name: 'A key walks through the prompts; a change counts only once CONFIRM is pressed, else it goes back',
    asks: ['timeOutSeconds'],
    keys: [
      { id: 'pick', label: 'PICK' },
      { id: 'confirm', label: 'CONFIRM' },
      { id: 'up', label: '▲' },
      { id: 'down', label: '▼' },
    ],
    suggested: { ...usual, code: '', timeOutSeconds: 10 },
    build: (a) =>
      one({
        enter: [{ press: 'pick' }],
        move: { next: 'pick', end: 'save' },
        edit: { starts: 'atOnce', more: 'up', less: 'down', take: 'confirm' },
        timeOut: { seconds: Math.max(1, a.timeOutSeconds), keeps: 'taken' },
      }),
  },
  {
    id: 'textTree',
    name: 'A display with words: a tree of menus, a password digit by digit, one key steps back and out',
    asks: ['code', 'timeOutSeconds', 'keeps'],
    keys: [
      { id: 'menu', label: 'MENU' },
      { id: 'set', label: 'OK' },
      { id: 'up', label: '▲' },
      { id: 'down', label: '▼' },
    ],
    suggested: { ...usual, code: '0000', timeOutSeconds: 120 },
    build: (a) =>
      one(
        {
          enter: [
            { press: 'menu' },
            ...(a.code === ''
              ? []
              : [
                  {
                    code: a.code,
                    by: 'digits',
                    more: 'up',
                    less: 'down',
                    right: 'set',
                    take: 'set',
                  } as const,
                ]),
          ],
          layout: 'path',
          move: { next: 'down', previous: 'up', open: 'set', back: 'menu', backAtRoot: 'save' },
          edit: listEdit,
          stores: a.keeps === 'nothing' ? 'leaving' : 'taken',
          ...closes(a),
        },
        { display: { digits: 16, text: true } },
      ),
  },
  {
    id: 'guard',
    name: 'A switch under the cover, moved with the supply off; then one key steps through the values',
    asks: ['timeOutSeconds', 'keeps'],
    keys: three,
    suggested: { ...usual, code: '', keeps: 'edit', timeOutSeconds: 30 },
    build: (a) =>
      one(
        {
          needs: { guard: 'free' },
          enter: [{ press: 'set' }],
          move: { next: 'set', end: 'save' },
          edit: { starts: 'atOnce', more: 'up', less: 'down', take: 'move' },
          stores: a.keeps === 'nothing' ? 'leaving' : 'taken',
          ...closes(a),
        },
        {
          switches: [
            {
              id: 'guard',
              positions: ['shut', 'free'],
              normal: 'shut',
              hidden: 'under the cover',
              movedWith: 'powerOff',
            },
          ],
        },
      ),
  },
  {
    id: 'hiddenDigits',
    name: 'A hidden button opens; a key walks through the values; arrows turn digit by digit; a question at the end saves',
    asks: ['timeOutSeconds'],
    keys: [
      { id: 'pin', label: 'pin', hidden: 'hidden' },
      { id: 'walk', label: 'WALK' },
      { id: 'right', label: '▶' },
      { id: 'up', label: '▲' },
      { id: 'down', label: '▼' },
    ],
    suggested: { ...usual, code: '', timeOutSeconds: 60 },
    build: (a) =>
      one({
        enter: [{ press: 'pin' }],
        move: { next: 'walk', end: 'ask' },
        edit: { starts: 'atOnce', by: 'digits', more: 'up', less: 'down', right: 'right', take: 'move' },
        stores: 'leaving',
        ask: { yes: 'up', no: 'down' },
        ...(a.timeOutSeconds > 0 && { timeOut: { seconds: a.timeOutSeconds, keeps: 'nothing' } }),
      }),
  },
];

/** A panel of a pattern with the answers filled in; what a pattern does not ask stands as it suggests. */
export function panelFrom(pattern: PanelPattern, answers: Partial<PanelAnswers>): Panel {
  const labels = answers.labels ?? {};
  const all: PanelAnswers = { ...pattern.suggested, ...answers, labels };
  return {
    ...pattern.build(all),
    keys: pattern.keys.map((key) => ({ ...key, label: labels[key.id] || (key.label ?? key.id) })),
  };
}
