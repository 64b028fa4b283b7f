import { FlightCode } from '@/features/taste/flights/FlightCode';

export const metadata = { title: 'Blind tasting', robots: { index: false } };

export default function FlightCodePage() {
  return <FlightCode />;
}
