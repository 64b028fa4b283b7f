import { today } from '@/data/today';
import { NewRelease } from '@/features/read/NewRelease';

export const metadata = { title: 'A new release' };

export default function NewReleasePage() {
  return <NewRelease today={today()} />;
}
