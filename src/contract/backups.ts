/** What is told of the backups of this installation. */
export interface BackupsTold {
  /** The last one that was found good by restoring it. */
  readonly good: { readonly madeAt: string; readonly file: string; readonly bytes: number } | null;
  /** The last one that failed, where none was good since. */
  readonly failed: { readonly madeAt: string; readonly why: string } | null;
}

/** A backup is made every night: one that is older missed a night, and most of a day. */
const oldAfterHours = 36;

/** Whether the last good backup is as old as none should be. */
export function isOld({ good }: BackupsTold, now: Date): boolean {
  return good === null || now.getTime() - new Date(good.madeAt).getTime() > oldAfterHours * 3_600_000;
}
