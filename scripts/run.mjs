// Runs a task on a fresh clone: brings the npm packages in first, then hands over to TypeScript.
// Only what ships with Node.js may be used here.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const [task, ...rest] = process.argv.slice(2);

installPackages();
const child = spawn(process.execPath, ['--import', 'tsx', join(root, 'scripts', 'tasks', `${task}.ts`), ...rest], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' },
});
// Ctrl-C reaches the child by itself; this process waits for it to put things away.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    if (signal !== 'SIGINT') child.kill(signal);
  });
}
child.on('exit', (code, signal) => process.exit(code ?? (signal === 'SIGINT' ? 130 : 1)));

function installPackages() {
  const lock = join(root, 'package-lock.json');
  const installed = join(root, 'node_modules', '.package-lock.json');
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(lock).mtimeMs) return;
  console.log('Installing npm packages…');
  const result = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: 'inherit' });
  if (result.status !== 0) {
    console.error('The npm packages could not be installed. Check the connection to the package registry and try again.');
    process.exit(1);
  }
}
