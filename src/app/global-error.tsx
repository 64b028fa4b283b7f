'use client';

/** The frame itself broke: nothing of the house's own style is there to lean on. */
export default function GlobalError({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  return (
    <html lang="en-GB">
      <body style={{ fontFamily: 'sans-serif', padding: 24 }}>
        <title>Something broke · Kettlebrand</title>
        <h1>Something broke in Kettlebrand</h1>
        <p>
          Everything logged so far is stored, and what waits on this device is kept. Try again; if
          it stays, restart the server and look at what it prints
          {error.digest && ` for ${error.digest}`}.
        </p>
        <p>
          <button type="button" onClick={reset}>
            Try again
          </button>
        </p>
      </body>
    </html>
  );
}
