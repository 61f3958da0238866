import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import type { BlockOf } from '../core';
import { onAPage } from '../ui/page.fixture';
import { MarkForm } from './MarkForm';

onAPage();

const why: BlockOf<'explanation'> = {
  id: 'why',
  type: 'explanation',
  spoken: 0,
  prompt: 'Why?',
  words: 20,
  points: 4,
  rubric: [
    { points: 4, like: 'numbers and a reason' },
    { points: 2, like: 'a reason alone' },
  ],
};

test('a level of the rubric gives its points, and points of one’s own are no level', () => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MarkForm work="w" block={why} onMarked={vi.fn()} />
    </QueryClientProvider>,
  );
  const points = screen.getByLabelText<HTMLInputElement>('Points, 0 to 4');
  fireEvent.click(screen.getByLabelText(/a reason alone/));
  expect(points.value).toBe('2');
  fireEvent.change(points, { target: { value: '3' } });
  expect(screen.getAllByRole<HTMLInputElement>('radio').map((r) => r.checked)).toEqual([false, false]);
  fireEvent.change(points, { target: { value: '4' } });
  expect(screen.getByLabelText<HTMLInputElement>(/numbers and a reason/).checked).toBe(true);
});
