import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  compiler: { styledComponents: true },
  devIndicators: false,
  // Types are checked by `npm run check` and `npm test`; a house that is only run has no packages for it.
  typescript: { ignoreBuildErrors: true },
  // It reads its font files from disk.
  serverExternalPackages: ['pdfkit'],
};

export default config;
