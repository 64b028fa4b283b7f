import { now } from '@/data/rows';
import { CheckSheetPage } from '@/features/checkSheet/CheckSheetPage';
import { AwayBar } from '@/features/frame/AwayBar';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Check', robots: { index: false }, referrer: 'no-referrer' };

/** The same page for every link: what is behind one is asked for by the phone itself. */
export default async function CheckPage({ params }: { params: Promise<{ secret: string }> }) {
  return (
    <>
      <AwayBar madeAt={now()} isSilent />
      <CheckSheetPage secret={(await params).secret} />
    </>
  );
}
