/** Something on the machine that the person at the keyboard can put right; told in one sentence, without a trace. */
export class MachineFailure extends Error {}

/** Runs a task's main function: known failures as one sentence, unknown ones with their trace, both with exit code 1. */
export async function runTask(main: () => Promise<void>): Promise<void> {
  try {
    await main();
  } catch (error) {
    console.error(error instanceof MachineFailure ? error.message : error);
    process.exitCode = 1;
  }
}
