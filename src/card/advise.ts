/** The advisor beside a card's page: a worker of its own, so that the page never waits. Thin. */
import { adviseCardReader, type CardReaderQuestion } from '@/core/advice/cardReader';

self.onmessage = ({ data }: MessageEvent<CardReaderQuestion>) => {
  self.postMessage(adviseCardReader(data));
};
