/**
 * Completes package-lock.json after `npm install` against a registry that does not carry every platform's optional binaries:
 * npm leaves those out of the lock and then `npm ci` refuses it. Each is added with its version, system and processor, so that
 * every platform agrees with the lock and only the right binary is ever fetched. Each entry also gets the registry's address of
 * its archive: without it npm asks the registry about every package again although the archive is in its cache, which takes
 * longer than all the rest of a first start. (npm puts the configured registry in place of the one named.)
 */
import { readFileSync, writeFileSync } from 'node:fs';

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const packages = lock.packages;
const systems = ['darwin', 'win32', 'linux', 'freebsd', 'android', 'openharmony', 'openbsd', 'netbsd', 'sunos', 'aix'];
const processors = {
  arm64: 'arm64',
  x64: 'x64',
  ia32: 'ia32',
  arm: 'arm',
  ppc64: 'ppc64',
  riscv64: 'riscv64',
  s390x: 's390x',
  loong64: 'loong64',
  mips64el: 'mips64el',
  wasm32: 'wasm32',
};

function platformOf(name) {
  const words = name.split('/').pop().split('-');
  const os = systems.find((system) => words.includes(system));
  const cpu = Object.keys(processors).find((one) => words.includes(one));
  return { ...(os ? { os: [os] } : {}), ...(cpu ? { cpu: [processors[cpu]] } : {}) };
}

/** Where npm would look for a dependency of the package at a path: nested first, then upwards. */
function isThere(from, name) {
  for (let at = from; ; at = at.includes('/node_modules/') ? at.slice(0, at.lastIndexOf('/node_modules/')) : '') {
    if (packages[`${at ? `${at}/` : ''}node_modules/${name}`]) return true;
    if (at === '') return false;
  }
}

let added = 0;
for (const [path, entry] of Object.entries(packages)) {
  for (const [name, wanted] of Object.entries(entry.optionalDependencies ?? {})) {
    if (isThere(path, name)) continue;
    const platform = platformOf(name);
    if (!platform.os && !platform.cpu) throw new Error(`${name} of ${path} is missing and names no platform: look at it by hand`);
    packages[`node_modules/${name}`] = { version: wanted.replace(/^[~^]/, ''), ...platform, ...(entry.dev ? { dev: true } : {}), optional: true };
    added += 1;
  }
}
for (const [path, entry] of Object.entries(packages)) {
  if (path === '' || entry.link || entry.resolved || !entry.version) continue;
  const name = entry.name ?? path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
  entry.resolved = `https://registry.npmjs.org/${name}/-/${name.split('/').pop()}-${entry.version}.tgz`;
}
lock.packages = Object.fromEntries(Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync('package-lock.json', JSON.stringify(lock, null, 2) + '\n');
console.log(`${added} platform packages added`);
