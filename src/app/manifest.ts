import type { MetadataRoute } from 'next';

/** What a device needs to install Kettlebrand as an app of its own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Kettlebrand',
    short_name: 'Kettlebrand',
    description: 'Espresso recipes for each coffee release, from the bag to the published card.',
    start_url: '/',
    display: 'standalone',
    background_color: '#eef2ef',
    theme_color: '#12302a',
    icons: [
      { src: '/icons/192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
    ],
  };
}
