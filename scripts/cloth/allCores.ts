import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { MachineFailure } from '../machine/failure.ts';

/** Runs `script` once a core, each with its part of the work as its last two arguments, and passes on what they tell. */
export async function onAllCores<Told>(script: string, args: readonly string[], onTold: (told: Told) => void): Promise<void> {
  const cores = availableParallelism();
  await Promise.all(
    Array.from(
      { length: cores },
      (_, core) =>
        new Promise<void>((done, failed) => {
          const child = fork(script, [...args, String(core), String(cores)], { execArgv: ['--import', 'tsx'] });
          child.on('message', (told: Told) => onTold(told));
          child.on('exit', (status) => (status === 0 ? done() : failed(new MachineFailure(`One of the cores stopped with ${status}.`))));
        }),
    ),
  );
}
