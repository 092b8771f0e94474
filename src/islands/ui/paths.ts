/** What stands at a dotted path, as `measures.2.mm`; `undefined` where the path leads nowhere. */
export function valueAt(from: unknown, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[key] : undefined), from);
}

/** The same with another value at the path; whatever does not lie on it stays the very same. */
export function withValueAt<T extends object>(from: T, path: string, value: unknown): T {
  const [key = '', ...rest] = path.split('.');
  const child = (from as Record<string, unknown>)[key];
  const next = rest.length === 0 ? value : withValueAt(typeof child === 'object' && child !== null ? child : {}, rest.join('.'), value);
  if (Array.isArray(from)) return from.with(Number(key), next) as T;
  return { ...from, [key]: next };
}
