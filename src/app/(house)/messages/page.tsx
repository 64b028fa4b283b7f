import { database } from '@/data/database';
import { listMessages, listRemarks } from '@/data/messages';
import { loadHouse } from '@/features/frame/load';
import { MessagesPage } from '@/features/messages/MessagesPage';

export const metadata = { title: 'Messages' };

export default async function Messages() {
  // Whoever is not signed in is sent to the door before anything is read.
  await loadHouse();
  const db = database();
  return <MessagesPage messages={listMessages(db)} remarks={listRemarks(db)} />;
}
