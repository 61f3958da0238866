import { render, screen } from '@testing-library/react';
import { lazy } from 'react';
import { expect, test, vi } from 'vitest';
import { Fetched } from './Fetched';
import { onAPage } from './page.fixture';

onAPage();

test('what can’t be fetched says so in its place, and the page stays', async () => {
  const told = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const Lost = lazy(() => Promise.reject(new TypeError('Failed to fetch dynamically imported module')));
  const There = lazy(() => Promise.resolve({ default: () => <p>there</p> }));
  render(
    <main>
      <input aria-label="typed" defaultValue="41.5" />
      <Fetched what="Fits" waiting={<p role="status">On its way …</p>}>
        <Lost />
      </Fetched>
      <Fetched what="Notes">
        <There />
      </Fetched>
    </main>,
  );
  expect(screen.getByRole('status').textContent).toBe('On its way …');
  expect((await screen.findByRole('alert')).textContent).toMatch(/^Fits: not to be had .* nothing is lost\.$/);
  expect(screen.getByText('there')).toBeTruthy();
  expect((screen.getByLabelText('typed') as HTMLInputElement).value).toBe('41.5');
  told.mockRestore();
});

test('in a header it takes little room, and still says all to who listens or points at it', async () => {
  const told = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const Lost = lazy(() => Promise.reject(new TypeError('Failed to fetch dynamically imported module')));
  render(
    <Fetched narrow what="Help">
      <Lost />
    </Fetched>,
  );
  const alert = await screen.findByRole('alert');
  expect(alert.title).toMatch(/^Not to be had without the server\. Load the page again/);
  expect(alert.textContent).toMatch(/^Help: not to be had without the server/);
  expect(alert.querySelector('.sr-only')!.textContent).toMatch(/^without the server/);
  told.mockRestore();
});
