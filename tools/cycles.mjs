// Looks for import cycles among the files and the modules of the Rust crates. A name is followed through
// `pub use` to the file that it is defined in, so that a re-export in a mod.rs hides nothing.
import { readFileSync, readdirSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import process from 'node:process';
import { URL, fileURLToPath } from 'node:url';

const CRATES = fileURLToPath(new URL('../crates', import.meta.url));

/** Every Rust file below a folder. */
function files(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory()
      ? files(join(folder, entry.name))
      : entry.name.endsWith('.rs')
        ? [join(folder, entry.name)]
        : [],
  );
}

/** `a::b` of a file: its module's path. */
function moduleOf(source, file) {
  const parts = relative(source, file).replace(/\.rs$/, '').split(sep);
  if (['mod', 'lib', 'main'].includes(parts.at(-1))) parts.pop();
  return parts.join('::');
}

/** The code without comments, strings' contents, and tests. */
function code(text) {
  const tests = text.search(/^#\[cfg\(test\)\]/m);
  return (tests < 0 ? text : text.slice(0, tests))
    .replace(/\/\/.*$/gm, '')
    .replace(/"(?:[^"\\]|\\.)*"/g, '""');
}

/** A use tree as the paths in it, each with the name that it gets: `a::{b, c as d}`. */
function paths(tree, before = []) {
  const open = tree.indexOf('{');
  if (open < 0) {
    const [path, as] = tree.split(/\s+as\s+/);
    const parts = [...before, ...path.split('::').map((part) => part.trim())];
    if (parts.at(-1) === 'self') parts.pop();
    return [{ parts, name: as?.trim() ?? parts.at(-1) }];
  }
  const head = tree
    .slice(0, open)
    .split('::')
    .map((part) => part.trim())
    .filter(Boolean);
  const inner = tree.slice(open + 1, tree.lastIndexOf('}'));
  const branches = [];
  let depth = 0;
  let branch = '';
  for (const letter of inner) {
    if (letter === ',' && depth === 0) {
      branches.push(branch);
      branch = '';
      continue;
    }
    depth += letter === '{' ? 1 : letter === '}' ? -1 : 0;
    branch += letter;
  }
  branches.push(branch);
  return branches
    .map((each) => each.trim())
    .filter(Boolean)
    .flatMap((each) => paths(each, [...before, ...head]));
}

/** What a crate's modules import, module by module. */
function imports(source) {
  const modules = new Map();
  for (const file of files(source)) {
    const own = moduleOf(source, file);
    const text = code(readFileSync(file, 'utf8'));
    const uses = [];
    const exported = new Map();
    const rest = text.replace(/(pub(?:\([^)]*\))?\s+)?use\s+([^;]+);/g, (_, pub, tree) => {
      for (const { parts, name } of paths(tree.replace(/\s+/g, ' '))) {
        uses.push({ parts, again: Boolean(pub) });
        if (pub) exported.set(name, parts);
      }
      return '';
    });
    for (const [, path] of rest.matchAll(/\b((?:crate|super|self)(?:::\w+)+)/g)) {
      uses.push({ parts: path.split('::'), again: false });
    }
    modules.set(own, { uses, exported });
  }
  /** The path from the crate's root; none for another crate. */
  const rooted = (own, parts) => {
    const at = own ? own.split('::') : [];
    const left = [...parts];
    if (left[0] === 'crate') return left.slice(1);
    if (left[0] === 'self') return [...at, ...left.slice(1)];
    if (left[0] === 'super') {
      while (left[0] === 'super') {
        at.pop();
        left.shift();
      }
      return [...at, ...left];
    }
    return modules.has([...at, left[0]].join('::')) ? [...at, ...left] : undefined;
  };
  /** The module that a path leads to. */
  const found = (path, seen = 0) => {
    let at = '';
    for (const [place, part] of path.entries()) {
      const next = at ? `${at}::${part}` : part;
      if (modules.has(next)) {
        at = next;
        continue;
      }
      const through = modules.get(at)?.exported.get(part);
      const whole = through && rooted(at, through);
      return whole && seen < 20 ? found([...whole, ...path.slice(place + 1)], seen + 1) : at;
    }
    return at;
  };
  const edges = new Map();
  for (const [own, { uses }] of modules) {
    const to = new Set();
    for (const { parts, again } of uses) {
      const path = rooted(own, parts);
      if (!path || again) continue;
      const target = found(path);
      if (target !== own && target !== '') to.add(target);
    }
    edges.set(own, to);
  }
  return edges;
}

/** The groups that lead back to themselves: strongly connected components of more than one (Tarjan). */
function cycles(edges) {
  const [number, low, held, stack, groups] = [new Map(), new Map(), new Set(), [], []];
  const visit = (node) => {
    number.set(node, number.size);
    low.set(node, number.get(node));
    stack.push(node);
    held.add(node);
    for (const next of edges.get(node) ?? []) {
      if (!number.has(next)) {
        visit(next);
        low.set(node, Math.min(low.get(node), low.get(next)));
      } else if (held.has(next)) low.set(node, Math.min(low.get(node), number.get(next)));
    }
    if (low.get(node) !== number.get(node)) return;
    const group = [];
    do {
      group.push(stack.pop());
      held.delete(group.at(-1));
    } while (group.at(-1) !== node);
    if (group.length > 1) groups.push(group);
  };
  for (const node of edges.keys()) if (!number.has(node)) visit(node);
  return groups;
}

/** The same among the rooms of a crate: the modules of its root. */
function rooms(edges) {
  const top = (name) => name.split('::')[0];
  const found = new Map();
  for (const [from, to] of edges) {
    const room = found.get(top(from)) ?? new Set();
    for (const each of to) if (top(each) !== top(from)) room.add(top(each));
    found.set(top(from), room);
  }
  return found;
}

let wrong = 0;
for (const crate of readdirSync(CRATES)) {
  const edges = imports(join(CRATES, crate, 'src'));
  for (const [what, graph] of [
    ['files', edges],
    ['modules', rooms(edges)],
  ]) {
    for (const group of cycles(graph)) {
      wrong += 1;
      console.error(`${crate}: ${what} that import each other: ${group.join(', ')}`);
      for (const from of group) {
        const to = [...graph.get(from)].filter((each) => group.includes(each));
        console.error(`    ${from} -> ${to.join(', ')}`);
      }
    }
  }
}
console.log(wrong === 0 ? 'No import cycle in the crates.' : `${wrong} import cycles in the crates.`);
process.exitCode = wrong === 0 ? 0 : 1;
