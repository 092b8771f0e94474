import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { buildSync } from 'esbuild';
import { MachineFailure } from './failure.ts';
import { canWrite, root } from './paths.ts';

const stamp = join(root, 'dist', 'built-from');
const inputs = ['src', 'public', 'astro.config.ts', 'package-lock.json', 'tsconfig.json'];

/** What runs beside the pages, as plain JavaScript: what loads TypeScript would slow every request down. */
function bundleServer(from: readonly string[], name: string): void {
  buildSync({
    entryPoints: [join(root, 'src', ...from)],
    outfile: join(root, 'dist', 'server', name),
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
  });
}

/** What keeps pages usable without the server, with a list of every file they are made of. */
function bundleOffline(client: string): void {
  const files = filesUnder(client).map((file) => {
    const url = `/${relative(client, file).replaceAll(sep, '/')}`;
    return {
      url,
      revision: url.startsWith('/_astro/') ? null : createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16),
    };
  });
  buildSync({
    entryPoints: [join(root, 'src', 'workers', 'offline.worker.ts')],
    outfile: join(client, 'offline.js'),
    bundle: true,
    minify: true,
    platform: 'browser',
    format: 'iife',
    define: {
      __FILES__: JSON.stringify(files.filter(({ url }) => !url.startsWith('/cloth/'))),
      'process.env.NODE_ENV': '"production"',
    },
  });
}

/** Smaller than this nothing is gained. */
const leastBytes = 1024;
const compressible = /\.(?:js|css|svg|json|woff|html)$/;

/** Sets a brotli and a gzip twin beside every file that gains by it, so that none is compressed while somebody waits. */
function compressFiles(folder: string): void {
  for (const file of filesUnder(folder).filter((path) => compressible.test(path))) {
    const bytes = readFileSync(file);
    if (bytes.byteLength < leastBytes) continue;
    writeFileSync(`${file}.br`, brotliCompressSync(bytes));
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

/** Builds the application unless what is built already comes from these very sources. */
export function buildIfNeeded(): void {
  const sources = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
  const into = join(root, 'dist');
  if (!canWrite(existsSync(into) ? into : root))
    throw new MachineFailure(
      `Nothing is built from these sources yet, and nothing can be written to ${root}. Start it once where it can be.`,
    );
  console.log('Building…');
  const result = spawnSync('npx', ['astro', 'build'], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' },
  });
  // Ctrl-C reaches it too, and it ends without a word.
  const interrupted = result.signal !== null || result.status === 130 || !(result.stdout + result.stderr).trim();
  if (result.status !== 0 && interrupted) throw new MachineFailure('Stopped while it was being built. Nothing else was changed.');
  if (result.status !== 0) throw new MachineFailure(`The build failed:\n${result.stdout}\n${result.stderr}`);
  bundleServer(['shell', 'main.ts'], 'shell.mjs');
  bundleServer(['server', 'fitBook', 'thread.ts'], 'book.mjs');
  bundleOffline(join(root, 'dist', 'client'));
  compressFiles(join(root, 'dist', 'client'));
  writeFileSync(stamp, sources);
}

function fingerprint(): string {
  const hash = createHash('sha256');
  for (const input of inputs) {
    for (const file of filesUnder(join(root, input))) hash.update(file).update(readFileSync(file));
  }
  return hash.digest('hex');
}

function filesUnder(path: string): string[] {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  const entries = readdirSync(path, { withFileTypes: true, recursive: true }).filter((entry) => entry.isFile());
  return entries.map((entry) => join(entry.parentPath, entry.name)).sort();
}
