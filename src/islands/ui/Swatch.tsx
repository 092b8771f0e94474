/** A fabric's colours, the ground first and widest; an empty field where they were never entered. */
export function Swatch({ colours }: { readonly colours: readonly string[] }) {
  return (
    <span
      aria-hidden
      className={`flex h-5 w-7 shrink-0 overflow-hidden border border-ink/40 ${colours.length === 0 ? 'border-dashed' : ''}`}
    >
      {colours.map((colour, i) => (
        <span key={colour} style={{ background: colour, flexGrow: i === 0 ? 3 : 1 }} />
      ))}
    </span>
  );
}
