import { plainCode } from '@/data/flights';
import { now } from '@/data/rows';
import { AwayBar } from '@/features/frame/AwayBar';
import { BlindTasting } from '@/features/taste/flights/BlindTasting';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Blind tasting', robots: { index: false } };

/** The same page for every code: what is behind one is asked for by the phone itself. */
export default async function FlightPage({ params }: { params: Promise<{ code: string }> }) {
  return (
    <>
      <AwayBar madeAt={now()} />
      <BlindTasting code={plainCode((await params).code)} />
    </>
  );
}
