/** The views, in the order of the header. */
export const places = [
  { path: '/', label: 'Fitting' },
  { path: '/clients', label: 'Clients' },
  { path: '/wardrobe', label: 'Wardrobe' },
  { path: '/knots', label: 'Knots' },
  { path: '/fittings', label: 'Fit book' },
  { path: '/people', label: 'Studio' },
  { path: '/import-export', label: 'Import and export' },
] as const;

export type Place = (typeof places)[number]['path'];

/** The ways between the views. */
export function Places({ here }: { readonly here?: Place }) {
  return (
    <ul className="flex flex-wrap gap-x-2.5 text-[0.9rem] lg:max-xl:gap-x-2 lg:max-xl:text-[0.82rem]">
      {places.map(({ path, label }) => (
        <li key={path}>
          {path === here ? (
            <span aria-current="page" className="flex min-h-9 items-center border-b-2 border-ink font-medium">
              {label}
            </span>
          ) : (
            <a className="flex min-h-9 items-center text-set underline decoration-1 underline-offset-4" href={path}>
              {label}
            </a>
          )}
        </li>
      ))}
    </ul>
  );
}
