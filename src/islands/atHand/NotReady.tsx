/** Said by views of the bench's outfit while a measure of it is at fault. */
export function NotReady() {
  return (
    <p className="py-6 text-xl">
      A measure on the bench is not right yet.{' '}
      <a className="text-set underline" href="/">
        Back to the bench
      </a>
    </p>
  );
}
