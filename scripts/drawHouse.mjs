// Draws the arrows of house.mjs into docs/architecture.md. `--check` changes nothing and fails where the drawing is old, an arrow runs
// upwards or in a circle, or no file uses it.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { coreRooms, floors, webRooms } from '../house.mjs';
import { roomOf } from './lint/arrows.mjs';
import { root } from './lib/project.mjs';

const page = join(root, 'docs/architecture.md');
const [begin, end] = ['<!-- arrows: drawn by scripts/drawHouse.mjs -->', '<!-- end of arrows -->'];
const problems = [
  ...upwards(),
  ...circles(coreRooms),
  ...circles(webRooms),
  ...unused('core/src', 2, coreRooms),
  ...unused('web/src', 0, webRooms),
];
const text = readFileSync(page, 'utf8');
const [head, rest] = [text.slice(0, text.indexOf(begin)), text.slice(text.indexOf(end))];
const drawn = `${head}${begin}\n\n${drawing()}\n${rest}`;
if (process.argv.includes('--check')) {
  if (drawn !== text)
    problems.push('docs/architecture.md: the drawing is old; run node scripts/drawHouse.mjs');
} else writeFileSync(page, drawn);
for (const problem of problems) process.stderr.write(`${problem}\n`);
process.exit(problems.length > 0 ? 1 : 0);

/** A floor a table: each room with what it may import. */
function drawing() {
  const floor = (name) => {
    const rooms = Object.keys(coreRooms).filter((room) => room.startsWith(`${name}/`));
    const rows = rooms.map((room) => `| ${room.split('/')[1]} | ${grouped(coreRooms[room], name)} |`);
    return `**${name}**\n\n| room | may import |\n|---|---|\n${rows.join('\n')}\n`;
  };
  const flow = floors
    .flatMap((to, above) =>
      floors.slice(above + 1).flatMap((from) => {
        const count = Object.entries(coreRooms)
          .filter(([room]) => room.startsWith(`${from}/`))
          .flatMap(([, allowed]) => allowed)
          .filter((room) => room.startsWith(`${to}/`)).length;
        return count > 0 ? [`  ${from} -->|${count}| ${to}`] : [];
      }),
    )
    .join('\n');
  const web = Object.entries(webRooms)
    .map(([room, allowed]) => `| ${room} | ${allowed.join(', ') || 'nothing'} |`)
    .join('\n');
  return [
    'Floors, with the number of arrows between their rooms:\n',
    `\`\`\`mermaid\nflowchart TD\n${flow}\n\`\`\`\n`,
    ...floors.map(floor),
    `**web**\n\n| folder | may import |\n|---|---|\n${web}\n`,
  ].join('\n');
}

/** `a/x, a/y, b/z` as `x, y · b: z` seen from floor a. */
function grouped(rooms, own) {
  const words = floors.flatMap((floor) => {
    const mine = rooms.filter((room) => room.startsWith(`${floor}/`)).map((room) => room.split('/')[1]);
    if (mine.length === 0) return [];
    return [floor === own ? mine.join(', ') : `${floor}: ${mine.join(', ')}`];
  });
  return words.join(' · ') || 'nothing';
}

function upwards() {
  const level = (room) => floors.indexOf(room.split('/')[0]);
  return Object.entries(coreRooms).flatMap(([room, allowed]) =>
    allowed.filter((other) => level(other) > level(room)).map((other) => `${room} → ${other} runs upwards`),
  );
}

function circles(rooms) {
  const reached = (from, seen = new Set()) => {
    for (const next of rooms[from] ?? [])
      if (!seen.has(next)) {
        seen.add(next);
        reached(next, seen);
      }
    return seen;
  };
  return Object.keys(rooms)
    .filter((room) => reached(room).has(room))
    .map((room) => `${room} imports itself by way of others`);
}

/** Allowed arrows that no file outside the tests uses, and rooms that are not there. */
function unused(base, depth, rooms) {
  const used = new Map();
  for (const file of filesBelow(join(root, base))) {
    const here = roomOf(join(root, base), depth, file);
    if (here === null) continue;
    if (!used.has(here)) used.set(here, new Set());
    for (const [, source] of readFileSync(file, 'utf8').matchAll(/(?:from |import\()\s*'(\.[^']+)'/g)) {
      const there = roomOf(join(root, base), depth, resolve(dirname(file), source));
      if (there !== null && there !== here) used.get(here).add(there);
    }
  }
  return Object.entries(rooms).flatMap(([room, allowed]) =>
    used.has(room)
      ? allowed
          .filter((other) => !used.get(room).has(other))
          .map((other) => `${room} → ${other}: no file uses it`)
      : [`${room}: no such room`],
  );
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((item) => {
    const path = join(folder, item.name);
    if (item.isDirectory()) return filesBelow(path);
    return /\.(ts|vue)$/.test(item.name) && !/\.test\.ts$/.test(item.name) ? [path] : [];
  });
}
