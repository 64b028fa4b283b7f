import { configure } from '@testing-library/react';

// Parts are fetched on use, and the first fetch of a run compiles them: long enough for a loaded machine.
configure({ asyncUtilTimeout: 15_000 });

/** What one test typed is no draft of the next. */
afterEach(() => localStorage.clear());
