const sheets = [
  { path: '/fittings', label: 'Fittings' },
  { path: '/fittings/learnt', label: 'What was learnt' },
  { path: '/fittings/stand', label: 'Tied on a stand' },
] as const;

/** The fit book’s own sheets. */
export function BookHead({ here }: { readonly here: (typeof sheets)[number]['path'] }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-8 pb-3">
      <h1 className="text-4xl font-semibold tracking-tight">Fit book</h1>
      <nav aria-label="Fit book">
        <ul className="flex flex-wrap gap-x-5 text-lg">
          {sheets.map(({ path, label }) => (
            <li key={path}>
              {path === here ? (
                <span aria-current="page" className="flex min-h-10 items-center border-b-2 border-ink font-medium">
                  {label}
                </span>
              ) : (
                <a className="flex min-h-10 items-center text-set underline decoration-1 underline-offset-4" href={path}>
                  {label}
                </a>
              )}
            </li>
          ))}
        </ul>
      </nav>
    </div>
  );
}
