/** Runs the shot simulator off the main thread. */
import { answer } from './answer';
import type { ToWorker } from './protocol';

self.onmessage = ({ data }: MessageEvent<ToWorker>) =>
  answer(data, (from) => self.postMessage(from));
