/** The advisor beside a card's page: a worker of its own, so that the page never waits. Thin. */
import { adviseStranger, type StrangerAsked } from '@/core/advice/stranger';

self.onmessage = ({ data }: MessageEvent<StrangerAsked>) => {
  self.postMessage(adviseStranger(data));
};
