const yearSeconds = 365 * 24 * 60 * 60;

/** Keeps a word on this device for a year, where the server reads it too; an empty one is forgotten. */
export function keepCookie(name: string, value: string): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the other way to write one is not in every browser yet.
  document.cookie = `${name}=${encodeURIComponent(value)}; path=/; max-age=${value === '' ? 0 : yearSeconds}; samesite=lax`;
}
