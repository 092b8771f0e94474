/** Red, green and blue of `#rrggbb`, 0 to 255. */
export function rgbOf(colour: string): readonly [red: number, green: number, blue: number] {
  const value = Number.parseInt(colour.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}
