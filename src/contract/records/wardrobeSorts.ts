/** What hangs in a wardrobe, in the order in which it is looked through. */
export const wardrobeSorts = ['ties', 'squares', 'shirts', 'jackets'] as const;
export type WardrobeSort = (typeof wardrobeSorts)[number];

export function isWardrobeSort(text: string | null): text is WardrobeSort {
  return wardrobeSorts.some((sort) => sort === text);
}
