import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  compiler: { styledComponents: true },
  devIndicators: false,
  // It reads its font files from disk.
  serverExternalPackages: ['pdfkit'],
};

export default config;
