/**
 * What has to be put away when the process ends. Kept by the process itself, since the pages and the server in front of
 * them are bundled apart, each with its own copy of this module.
 */
const key = Symbol.for('ropewalk.closing');
type Closer = () => Promise<void>;
const ofProcess = globalThis as unknown as Record<symbol, Set<Closer> | undefined>;
const closers = ofProcess[key] ?? new Set<Closer>();
ofProcess[key] = closers;

export function whenClosing(close: Closer): void {
  closers.add(close);
}

export async function closeAll(): Promise<void> {
  await Promise.all([...closers].map((close) => close()));
}
