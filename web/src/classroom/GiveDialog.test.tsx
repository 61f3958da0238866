import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { GiveDialog } from './GiveDialog';
import { forInput, sent } from './TermsFields';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('times go as instants, and stand in inputs in the reader’s own zone', () => {
  expect(sent('')).toBeUndefined();
  expect(forInput(sent('2030-05-06T07:08'))).toBe('2030-05-06T07:08');
  expect(forInput(undefined)).toBe('');
});

test('each class gets its own times; a further one begins with those of the one before', async () => {
  const bodies: unknown[] = [];
  vi.stubGlobal('fetch', async (request: Request | string) => {
    const url = typeof request === 'string' ? request : request.url;
    if (url.endsWith('/api/classes'))
      return Response.json(['A', 'B', 'C'].map((name) => ({ id: name, name: `Class ${name}`, students: 3 })));
    if (url.endsWith('/api/me')) return Response.json({});
    bodies.push(await (request as Request).json());
    return Response.json([{ id: '1', classId: 'A' }]);
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <GiveDialog labId="lab" title="A lab" onClose={() => undefined} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  fireEvent.click(await screen.findByRole('checkbox', { name: /Class A/ }));
  fireEvent.change(screen.getByLabelText('Due, Class A'), { target: { value: '2030-05-06T07:08' } });
  fireEvent.click(screen.getByRole('checkbox', { name: /Class B/ }));
  fireEvent.change(screen.getByLabelText('Opens, Class B'), { target: { value: '2030-05-01T07:00' } });
  fireEvent.change(screen.getByLabelText('Tries at each question'), { target: { value: '3' } });
  fireEvent.click(screen.getByRole('radio', { name: 'the lab is closed' }));
  fireEvent.click(screen.getByRole('button', { name: 'Give it to 2 classes' }));
  await waitFor(() => expect(bodies).toHaveLength(1));
  expect(bodies[0]).toEqual({
    labId: 'lab',
    classes: [
      { classId: 'A', dueAt: sent('2030-05-06T07:08') },
      { classId: 'B', openAt: sent('2030-05-01T07:00'), dueAt: sent('2030-05-06T07:08') },
    ],
    lateRule: 'CLOSED',
    again: true,
    together: false,
    tries: 3,
  });
});
