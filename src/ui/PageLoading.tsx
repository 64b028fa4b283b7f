import { Page } from './Page';

/** What stands where a stage is still being read; its frame is there already. */
export const StageLoading = () => <p role="status">Reading …</p>;

/** The same for a page outside a release. */
export const PageLoading = () => (
  <Page aria-busy="true">
    <StageLoading />
  </Page>
);
