// Lists the licence of every package and font that ships in the program, from the packages
// themselves: npm's production tree, and the crates that the binary is built from.
import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const run = (command, args, cwd) =>
  execFileSync(command, args, {
    cwd,
    encoding: 'utf8',
    maxBuffer: 1 << 28,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
const texts = [];
const places = new Map();

/** Number of the licence text in a package's folder; the same text is kept once. */
function textIn(folder) {
  const file = readdirSync(folder)
    .filter((name) => /^(licen[cs]e|copying|unlicense|ofl)/i.test(name))
    .sort()[0];
  if (!file) return null;
  let text;
  try {
    text = readFileSync(join(folder, file), 'utf8').trim();
  } catch {
    return null;
  }
  if (!places.has(text)) places.set(text, texts.push(text) - 1);
  return places.get(text);
}

function npmParts() {
  const lock = JSON.parse(readFileSync(join(root, 'web/package-lock.json'), 'utf8'));
  return Object.entries(lock.packages)
    .filter(([path, entry]) => path && !entry.dev && !entry.devOptional && !entry.optional && !entry.peer)
    .map(([path, entry]) => {
      const folder = join(root, 'web', path);
      const own = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
      return {
        name: own.name,
        version: entry.version,
        licence: own.license ?? 'not named',
        text: textIn(folder),
      };
    });
}

function crateParts() {
  const metadata = JSON.parse(run('cargo', ['metadata', '--format-version', '1', '--locked'], root));
  const byId = new Map(metadata.packages.map((entry) => [entry.id, entry]));
  const tree = run(
    'cargo',
    ['tree', '-p', 'yard-notch', '-e', 'normal', '--prefix', 'none', '--format', '{p}', '--locked'],
    root,
  );
  const shipped = new Set(tree.split('\n').map((line) => line.split(' ').slice(0, 2).join(' ')));
  return [...byId.values()]
    .filter((entry) => entry.source && shipped.has(`${entry.name} v${entry.version}`))
    .map((entry) => ({
      name: entry.name,
      version: entry.version,
      licence: entry.license ?? 'not named',
      text: textIn(dirname(entry.manifest_path)),
    }));
}

/** The font that is taken from neither: letters of other scripts, for paper. */
function fontParts() {
  const text = readFileSync(join(root, 'crates/notch-core/data/fonts/others-LICENSE.txt'), 'utf8');
  if (!places.has(text)) places.set(text, texts.push(text) - 1);
  return [{ name: 'DejaVu Sans', version: '2.37', licence: 'Bitstream-Vera', text: places.get(text) }];
}

const parts = [...npmParts(), ...crateParts(), ...fontParts()].sort((a, b) => a.name.localeCompare(b.name));
mkdirSync(join(root, 'web/src/about'), { recursive: true });
writeFileSync(join(root, 'web/src/about/licences.gen.json'), JSON.stringify({ parts, texts }));
console.log(`licences: ${parts.length} packages, ${texts.length} texts`);
