#!/usr/bin/env node
// Prints what the first screens load, gzipped: the door, and the rack of whoever is signed in. With --check it fails above the aim.
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const AIM = 240_000;
const dist = new URL('../web/dist/', import.meta.url);
const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', dist)));

function scripts(names, met = new Set()) {
  for (const name of names) {
    const part = manifest[name];
    if (!met.has(part.file)) {
      met.add(part.file);
      scripts(part.imports ?? [], met);
    }
  }
  return [...met];
}

for (const [screen, rooms] of [
  ['the door', ['index.html', 'src/team/SignIn.tsx']],
  ['the rack', ['index.html', 'src/app/Shell.tsx', 'src/schedule/RackPage.tsx']],
]) {
  const sum = scripts(rooms)
    .map((file) => gzipSync(readFileSync(new URL(file, dist)), { level: 9 }).length)
    .reduce((all, one) => all + one, 0);
  console.log(`first screen, ${screen}: ${Math.round(sum / 1000)} kB of script, at most ${AIM / 1000} kB`);
  if (sum > AIM && process.argv.includes('--check')) {
    process.exitCode = 1;
  }
}
