import { pathToFileURL } from 'node:url';

/** Runs all tests of the files it is given, one after the other; the runner tells how they went, and ends with an error where one failed. */
for (const file of process.argv.slice(2)) await import(pathToFileURL(file).href);
