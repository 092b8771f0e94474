/** Red, green and blue of `#rrggbb`, 0 to 255. */
export function rgbOf(colour: string): readonly [red: number, green: number, blue: number] {
  const value = Number.parseInt(colour.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}

/** One colour with so much of another laid over it, 0 to 1, as `#rrggbb`; what is none of that form stays as it is. */
export function laidOver(colour: string, over: string, share: number): string {
  if (!/^#[0-9a-f]{6}$/i.test(colour)) return colour;
  const upper = rgbOf(over);
  const parts = rgbOf(colour).map((part, i) => Math.round(part + ((upper[i] ?? 0) - part) * share));
  return `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
}
