/** Several pictures as one. */
import { writeFileSync } from 'node:fs';
import { createCanvas, loadImage } from '@napi-rs/canvas';

/** Several pictures as one, one under the other; another at their right. */
export async function under(file: string, seen: readonly Buffer[], right?: Buffer): Promise<void> {
  const images = await Promise.all(seen.map((png) => loadImage(png)));
  const beside = right && (await loadImage(right));
  const width = Math.max(...images.map((image) => image.width));
  const height = images.reduce((sum, image) => sum + image.height, 0);
  const canvas = createCanvas(width + (beside?.width ?? 0), height);
  const context = canvas.getContext('2d');
  context.fillStyle = '#7d8d85';
  context.fillRect(0, 0, canvas.width, canvas.height);
  let top = 0;
  for (const image of images) {
    context.drawImage(image, 0, top);
    top += image.height;
  }
  if (beside) context.drawImage(beside, width, 0);
  writeFileSync(file, canvas.toBuffer('image/png'));
}

/** Several pictures as one, side by side. */
export async function side(file: string, seen: readonly Buffer[]): Promise<void> {
  const GAP = 16;
  const images = await Promise.all(seen.map((png) => loadImage(png)));
  const width = images.reduce((sum, image) => sum + image.width + GAP, GAP);
  const canvas = createCanvas(width, Math.max(...images.map(({ height }) => height)) + 2 * GAP);
  const context = canvas.getContext('2d');
  context.fillStyle = '#7d8d85';
  context.fillRect(0, 0, canvas.width, canvas.height);
  let left = GAP;
  for (const image of images) {
    context.drawImage(image, left, GAP);
    left += image.width + GAP;
  }
  writeFileSync(file, canvas.toBuffer('image/png'));
}
