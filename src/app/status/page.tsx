/** A page with nothing on it but the frame of the program: says that the server is up. */
export const dynamic = 'force-dynamic';

export default function StatusPage() {
  return <p>Kettlebrand is running.</p>;
}
