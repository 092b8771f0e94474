/** Something wrong with a request: where, and what, in words a stylist understands. */
export interface Fault {
  /** Dotted path into the request, as `tie.bladeMm`. */
  readonly path: string;
  readonly message: string;
}
