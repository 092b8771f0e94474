/** Which folders of `src` each of them may import. */
export const layers: Readonly<Record<string, readonly string[]>>;
/** Which packages, or parts of Node.js (`builtin`), a folder may not import. */
export const foreign: Readonly<Record<string, readonly string[]>>;
