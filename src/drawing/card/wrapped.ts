/** How wide a letter is on average, as a share of the size of its face; wide enough for either of ours. */
const letterShare = 0.53;

/** A text in lines of at most `widthMm`, in letters of `sizeMm`. A word is never broken. */
export function wrapped(text: string, widthMm: number, sizeMm: number): string[] {
  const most = Math.max(1, Math.floor(widthMm / (sizeMm * letterShare)));
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/).filter(Boolean)) {
    if (line && line.length + 1 + word.length > most) {
      lines.push(line);
      line = word;
    } else line = line ? `${line} ${word}` : word;
  }
  if (line) lines.push(line);
  return lines;
}
