/** Code → words, as in the core's definition tables. */
export type Choices = Readonly<Record<string, { readonly label: string }>>;
