import { Page } from './Page';

/**
 * What stands where a page is still being read; its frame is there already. Not for the stages of a release:
 * what the framework fetches ahead for it would keep an older frame, with an older next move.
 */
export const PageLoading = () => (
  <Page aria-busy="true" data-loading="">
    <p role="status">Reading …</p>
  </Page>
);
