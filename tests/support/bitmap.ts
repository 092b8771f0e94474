/** A picture file (BMP, 24 bits) painted point by point; small and readable by any browser. */
export function bitmap(
  width: number,
  height: number,
  paint: (x: number, y: number) => readonly [r: number, g: number, b: number],
): Uint8Array {
  const row = Math.ceil((width * 3) / 4) * 4;
  const header = 54;
  const bytes = Buffer.alloc(header + row * height);
  bytes.write('BM', 0);
  bytes.writeUInt32LE(bytes.length, 2);
  bytes.writeUInt32LE(header, 10);
  bytes.writeUInt32LE(40, 14);
  bytes.writeInt32LE(width, 18);
  bytes.writeInt32LE(height, 22);
  bytes.writeUInt16LE(1, 26);
  bytes.writeUInt16LE(24, 28);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const [r, g, b] = paint(x, y);
      bytes.set([b, g, r], header + y * row + x * 3);
    }
  }
  return bytes;
}
