import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';

import { ROOT } from './paths.mjs';
import { Refusal } from './refusal.mjs';

/** Where each part stands in the drawing, and what it is. Whoever imports stands above whom it imports. */
const PLACES = {
  'app/app': { x: 250, y: 40, about: 'routes' },
  'app/chunks': { x: 440, y: 130, about: 'pages that come together' },
  'app/features': { x: 250, y: 130, about: 'pages and their hooks' },
  'app/parts': { x: 60, y: 220, about: 'pieces that know the trade' },
  'app/ui': { x: 250, y: 310, about: 'the kit' },
  'app/wording': { x: 440, y: 310, about: 'codes to sentences' },
  'app/data': { x: 60, y: 400, about: 'replica and outbox' },
  'app/views': { x: 250, y: 400, about: 'rows dressed for pages' },
  'app/device': { x: 60, y: 490, about: 'files, ids, storage' },
  server: { x: 660, y: 310, about: 'keeps records' },
  contract: { x: 440, y: 490, about: 'schemas and routes' },
  core: { x: 250, y: 580, about: 'computes, and nothing else' },
  e2e: { x: 660, y: 40, about: 'journeys' },
  speed: { x: 660, y: 130, about: 'the bench' },
};
const WIDTH = 880;
const HEIGHT = 650;
const BOX = { width: 172, height: 52 };
const SOURCES = { core: 'core/src', contract: 'contract/src', server: 'server/src', e2e: 'e2e', speed: 'speed' };

/** The parts of the house and who imports whom, as SVG: drawn from the imports, so that it cannot drift. */
export function drawArchitecture() {
  const arrows = arrowsOf(importsOf());
  const most = Math.max(...arrows.map(({ count }) => count));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" font-family="sans-serif" role="img">`,
    '<title>Who imports whom: an arrow points to what is imported, thicker where more files do</title>',
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="#f7f4ee"/>`,
    '<defs><marker id="tip" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="9" markerHeight="9"',
    ' markerUnits="userSpaceOnUse" orient="auto"><path d="M0 0L8 4L0 8z" fill="#1f5e54"/></marker></defs>',
    ...arrows.map((arrow) => arrowText(arrow, most)),
    ...Object.entries(PLACES).map(([name, place]) => boxText(name, place)),
    '</svg>',
    '',
  ].join('\n');
}

function boxText(name, { x, y, about }) {
  const middle = x + BOX.width / 2;
  const bold = 'text-anchor="middle" font-size="15" font-weight="700" fill="#22201c"';
  return [
    `<rect x="${x}" y="${y}" width="${BOX.width}" height="${BOX.height}" rx="12" fill="#ffffff" stroke="#22201c"/>`,
    `<text x="${middle}" y="${y + 22}" ${bold}>${name}</text>`,
    `<text x="${middle}" y="${y + 40}" text-anchor="middle" font-size="11.5" fill="#655f56">${about}</text>`,
  ].join('\n');
}

function arrowText({ from, to, count }, most) {
  const [a, b] = [centreOf(PLACES[from]), centreOf(PLACES[to])];
  const [start, end] = [edgeTowards(a, b), edgeTowards(b, a)];
  const width = (0.8 + 3.2 * Math.sqrt(count / most)).toFixed(1);
  const line = `x1="${start.x}" y1="${start.y}" x2="${end.x}" y2="${end.y}"`;
  const words = `${from} imports ${to} in ${count} ${count === 1 ? 'place' : 'places'}`;
  const look = `stroke="#1f5e54" stroke-opacity="0.55" stroke-width="${width}" marker-end="url(#tip)"`;
  return `<line ${line} ${look}><title>${words}</title></line>`;
}

function centreOf({ x, y }) {
  return { x: x + BOX.width / 2, y: y + BOX.height / 2 };
}

/** Where the line from one centre to another leaves the box. */
function edgeTowards(from, to) {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const share = Math.min(
    dx === 0 ? Infinity : BOX.width / 2 / Math.abs(dx),
    dy === 0 ? Infinity : BOX.height / 2 / Math.abs(dy),
  );
  return { x: Math.round(from.x + dx * share), y: Math.round(from.y + dy * share) };
}

function arrowsOf(imports) {
  const counts = new Map();
  for (const { from, to } of imports) {
    if (from === to) continue;
    const key = `${from} ${to}`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return [...counts]
    .map(([key, count]) => ({ from: key.split(' ')[0], to: key.split(' ')[1], count }))
    .sort((a, b) => a.count - b.count || `${a.from}${a.to}`.localeCompare(`${b.from}${b.to}`));
}

/** Every import of one part by another. */
function importsOf() {
  return filesOf().flatMap((file) => {
    const from = partOf(file);
    const named = [...readFileSync(path.join(ROOT, file), 'utf8').matchAll(/(?:from|import) ?\(?['"]([^'"]+)['"]/g)];
    return named.flatMap(([, name]) => {
      const to = targetOf(name, file);
      return to ? [{ from, to }] : [];
    });
  });
}

function targetOf(name, file) {
  const own = /^@leggero\/(\w+)/.exec(name);
  if (own) return own[1];
  if (name.startsWith('@/')) return partOf(`app/src/${name.slice(2)}`);
  return name.startsWith('.') ? partOf(path.posix.join(path.posix.dirname(file), name)) : null;
}

/** The part that a file belongs to; null for what is drawn nowhere (a style sheet, a test). */
function partOf(file) {
  const inApp = /^app\/src\/(\w+)/.exec(file);
  const name = inApp ? `app/${inApp[1]}` : file.split('/')[0];
  if (name in PLACES) return name;
  if (inApp) throw new Refusal(`${name} has no place in the drawing of the architecture: give it one in PLACES.`);
  return null;
}

function filesOf() {
  const walk = (folder) =>
    readdirSync(path.join(ROOT, folder)).flatMap((entry) => {
      const inner = `${folder}/${entry}`;
      if (entry.startsWith('.') || entry === 'node_modules' || entry === 'dist') return [];
      if (statSync(path.join(ROOT, inner)).isDirectory()) return walk(inner);
      return /\.m?tsx?$/.test(entry) && !entry.endsWith('.d.ts') ? [inner] : [];
    });
  return [...Object.values(SOURCES), 'app/src'].flatMap(walk).sort();
}
