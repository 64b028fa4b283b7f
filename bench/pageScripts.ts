/** What script a page makes a browser fetch while nobody touches it: in its HTML, and what loads by itself after. */
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import browserConfig from '../playwright.config';

/** So long is a page left alone. */
const LEFT_ALONE_MS = 5_000;

/** kB of script, gzip, by path. */
export async function pageScripts(
  url: string,
  cookie: string,
  paths: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  const browser = await chromium.launch(browserConfig.use!.launchOptions!);
  const [name, value] = cookie.split(/=(.*)/s) as [string, string];
  const found = new Map<string, number>();
  try {
    for (const path of paths) {
      // A browser that has seen nothing yet, and installs nothing.
      const context = await browser.newContext({ serviceWorkers: 'block' });
      await context.addCookies([{ name, value, url }]);
      const page = await context.newPage();
      const sizes: Promise<number>[] = [];
      page.on('response', (response) => {
        if (response.request().resourceType() === 'script' || /\.js$/.test(response.url()))
          sizes.push(response.body().then((body) => gzipSync(body).length));
      });
      await page.goto(url + path);
      await page.waitForTimeout(LEFT_ALONE_MS);
      const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
      found.set(path, bytes / 1000);
      await context.close();
    }
  } finally {
    await browser.close();
  }
  return found;
}
