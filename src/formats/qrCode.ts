/** A QR code as squares, so that page and paper draw it sharp at any size. */
import QRCode from 'qrcode';

export interface QrSquares {
  /** Squares along one side. */
  readonly size: number;
  /** All dark ones as an SVG path, one unit each. */
  readonly path: string;
}

export function qrSquares(words: string): QrSquares {
  const { modules } = QRCode.create(words, { errorCorrectionLevel: 'M' });
  const { size } = modules;
  const dark = Array.from({ length: size * size }, (_, at) => [at % size, Math.floor(at / size)])
    .filter(([x, y]) => modules.get(y!, x!))
    .map(([x, y]) => `M${x} ${y}h1v1h-1z`);
  return { size, path: dark.join('') };
}
