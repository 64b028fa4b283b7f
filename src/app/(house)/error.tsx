'use client';

/** Our own mistake: say what is kept and what to do. */
export default function HouseError({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  return (
    <main style={{ padding: 24 }}>
      <h1>Something broke in Kettlebrand</h1>
      <p>
        Everything logged so far is stored. Try again; if it stays, restart the server and look at
        what it prints{error.digest && ` for ${error.digest}`}.
      </p>
      <p>
        <button type="button" onClick={reset}>
          Try again
        </button>{' '}
        <a href="/trouble">Look whether the database is whole</a>
      </p>
    </main>
  );
}
