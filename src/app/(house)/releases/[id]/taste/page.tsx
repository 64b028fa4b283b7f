import { loadRelease } from '@/features/frame/load';
import { TasteStage } from '@/features/taste/TasteStage';

export const metadata = { title: 'Taste' };

export default async function TastePage({ params }: { params: Promise<{ id: string }> }) {
  return <TasteStage view={await loadRelease((await params).id)} />;
}
