/** What one test typed is no draft of the next. */
afterEach(() => localStorage.clear());
