/** So long work goes on before the page may answer a hand, ms: less than a frame. */
const atATimeMs = 12;

/** Goes through long work step by step; whatever the page has to do comes between two of them. */
export async function inTurns<T>(work: Iterator<unknown, T>): Promise<T> {
  let since = performance.now();
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    if (performance.now() - since < atATimeMs) continue;
    await new Promise((goOn) => setTimeout(goOn));
    since = performance.now();
  }
}
