// Finds Chromium for the browser tests and pictures, installing it from the system packages when it may.
import { existsSync } from 'node:fs';
import { fail, run, say } from './say.mjs';

const usual = [
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/snap/bin/chromium',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
];

const find = () => [process.env.CHROMIUM_PATH, ...usual].find((path) => path && existsSync(path));

/** @returns {Promise<string>} the path of a Chromium that can be started */
export async function ensureChromium() {
  const found = find();
  if (found) return found;
  if (process.getuid?.() !== 0) {
    fail('Chromium is needed for the browser tests. Install your system\'s "chromium" package, or set CHROMIUM_PATH.');
  }
  say('Installing Chromium from the system packages …');
  await run('apt-get', ['update']);
  const done = await run('apt-get', ['install', '-y', '--no-install-recommends', 'chromium']);
  return find() ?? fail('Chromium could not be installed.', done.out.slice(-2000));
}

export const chromiumArgs = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
