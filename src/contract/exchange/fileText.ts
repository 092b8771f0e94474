/** What a file says, and how it was read. */
export interface FileText {
  readonly text: string;
  readonly encoding: 'UTF-8' | 'Windows-1252';
}

/** Reads a file as UTF-8, strictly; what is none was written by an older program, in Windows-1252. */
export function fileText(bytes: ArrayBuffer | Uint8Array): FileText {
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}
