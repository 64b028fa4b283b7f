import { database } from '@/data/database';
import { listMessages, listRemarks } from '@/data/messages';
import { MessagesPage } from '@/features/messages/MessagesPage';

export const metadata = { title: 'Messages' };

export default function Messages() {
  const db = database();
  return <MessagesPage messages={listMessages(db)} remarks={listRemarks(db)} />;
}
