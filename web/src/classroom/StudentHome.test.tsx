import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { StudentHome } from './StudentHome';

type Lab = Schemas['AssignedLab'];

vi.mock('../shell/Shell', () => ({ Shell: ({ children }: { children: unknown }) => children }));

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const inDays = (days: number) => new Date(Date.now() + days * 86_400_000 + 60_000).toISOString();

function lab(title: string, more: Partial<Lab>): Lab {
  return {
    id: title,
    title,
    summary: '',
    minutes: 40,
    category: 'practice',
    className: 'Physics 9',
    state: 'not-started',
    points: 0,
    of: 10,
    marked: false,
    late: false,
    closed: false,
    ...more,
  };
}

async function home(...labs: Lab[]) {
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json(labs)));
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <StudentHome />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await screen.findByText(labs[0].title);
}

const shelf = (name: string) => screen.getByRole('heading', { level: 2, name }).parentElement!;
const titles = (name: string) =>
  within(shelf(name))
    .getAllByRole('heading', { level: 3 })
    .map((h) => h.textContent);

test('what is to do stands first, the most urgent on top; then what opens later, and what is done', async () => {
  await home(
    lab('without a time', {}),
    lab('next week', { dueAt: inDays(7) }),
    lab('handed in', { state: 'submitted', dueAt: inDays(1) }),
    lab('tomorrow', { dueAt: inDays(2), state: 'working', part: 'Measure' }),
    lab('in May', { state: 'waiting', openAt: inDays(40) }),
    lab('in March', { state: 'waiting', openAt: inDays(9) }),
    lab('too late', { closed: true, dueAt: inDays(-2) }),
  );
  expect(titles('To do')).toEqual(['tomorrow', 'next week', 'without a time']);
  expect(titles('Opens later')).toEqual(['in March', 'in May']);
  expect(titles('Done')).toEqual(['handed in', 'too late']);
  expect(within(shelf('Opens later')).queryByRole('button')).toBeNull();
  expect(shelf('Opens later').textContent).toContain('opens in 9 days');
  expect(shelf('To do').textContent).toContain('at: Measure');
});

test('what is late, given back and marked is said in words', async () => {
  await home(
    lab('late', { late: true, dueAt: inDays(-3) }),
    lab('back', { state: 'returned', dueAt: inDays(3) }),
    lab('marked', { state: 'submitted', marked: true, points: 7 }),
    lab('by now', { state: 'submitted', late: true, points: 2 }),
  );
  expect(shelf('To do').textContent).toContain('was due 3 days ago');
  expect(shelf('To do').textContent).toContain('given back to you');
  expect(shelf('Done').textContent).toContain('handed in, marked7 of 10 points');
  expect(shelf('Done').textContent).toContain('handed in late2 of 10 points so far');
  expect(screen.getAllByRole('button', { name: 'Go on' })).toHaveLength(1);
});
