import { cleanup } from '@testing-library/react';
import { afterEach, beforeAll, vi } from 'vitest';

/** What a page's parts need of a browser, and that each test begins with an empty one. */
export function onAPage() {
  beforeAll(() => {
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe() {}
        unobserve() {}
        disconnect() {}
      },
    );
  });
  afterEach(cleanup);
}
