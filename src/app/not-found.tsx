import { Link } from '@/ui/Link';

export default function NotFound() {
  return (
    <main style={{ padding: 24 }}>
      <h1>There is nothing at this address</h1>
      <p>It was mistyped, or nothing was published here.</p>
      <p>
        <Link href="/">Kettlebrand</Link>
      </p>
    </main>
  );
}
