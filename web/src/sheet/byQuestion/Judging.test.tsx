import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { onAPage } from '../../ui/page.fixture';
import { Drafts, draftsOf, type Typed } from './drafts';
import type { Item } from './items';
import { Judging } from './Judging';

onAPage();
afterEach(() => vi.unstubAllGlobals());

const view: Schemas['QuestionView'] = {
  block: 'why',
  shown: {
    type: 'explanation',
    id: 'why',
    prompt: 'Why?',
    rubric: [
      { points: 4, like: 'a reason' },
      { points: 1, like: 'words' },
    ],
  },
  points: 4,
  right: [],
  slips: [],
  answers: [],
  comments: ['Say which force.'],
};
const item: Item = {
  key: 'w',
  answers: [{ workId: 'w', student: 'Bea', submitted: true, late: false, text: 'So.', slots: {} }],
};

/** Answers each post as told, and keeps what was sent. */
function server(...statuses: number[]) {
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method !== 'POST') return new Response('{}');
    sent.push(await request.json());
    const status = statuses.length > 1 ? statuses.shift()! : statuses[0];
    if (status === 0) throw new TypeError('gone');
    return new Response(status === 204 ? null : '{"detail":"Points: 0 to 4 for this question."}', {
      status,
      headers: { 'Content-Type': 'application/json' },
    });
  });
  document.cookie = 'XSRF-TOKEN=t';
  return sent;
}

function judging(drafts = new Map<string, Typed>()) {
  const { unmount } = render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { mutations: { networkMode: 'always' } } })}>
      <Drafts value={drafts}>
        <Judging assignment="a" view={view} item={item} checked={false} />
      </Drafts>
    </QueryClientProvider>,
  );
  return { unmount, drafts };
}

const points = () => screen.getByLabelText<HTMLInputElement>(/^Points/);
const comment = () => screen.getByLabelText<HTMLTextAreaElement>('Comment');

test('a digit is the level of that place and is sent once, also when the field is left at once', async () => {
  const sent = server(204);
  const { drafts } = judging();
  fireEvent.keyDown(window, { key: '2' });
  expect(points().value).toBe('1');
  fireEvent.blur(points());
  fireEvent.blur(comment());
  await waitFor(() => expect(drafts.size).toBe(0));
  expect(sent).toEqual([{ works: ['w'], points: 1, comment: '' }]);
  fireEvent.keyDown(window, { key: '7' });
  expect(points().value).toBe('1');
});

test('digits typed into the comment are words', () => {
  const sent = server(204);
  judging();
  fireEvent.keyDown(comment(), { key: '1' });
  expect(points().value).toBe('');
  expect(sent).toEqual([]);
});

test('what could not be kept is there again after going away, and is kept when tried again', async () => {
  const sent = server(0, 204);
  const { unmount, drafts } = judging();
  fireEvent.change(comment(), { target: { value: 'While away' } });
  fireEvent.change(points(), { target: { value: '2,5' } });
  fireEvent.blur(points());
  expect((await screen.findByRole('alert')).textContent).toContain("can't be reached");
  unmount();
  const again = judging(drafts);
  expect([points().value, comment().value]).toEqual(['2,5', 'While away']);
  expect(screen.getByText('Not kept yet')).toBeTruthy();
  fireEvent.click(screen.getByText('Try to keep it again'));
  await waitFor(() => expect(again.drafts.size).toBe(0));
  expect(sent.at(-1)).toEqual({ works: ['w'], points: 2.5, comment: 'While away' });
});

test('a comment without points waits for them, and what is refused says why until it is changed', async () => {
  const sent = server(400);
  judging();
  fireEvent.click(screen.getByText('Say which force.'));
  expect(comment().value).toBe('Say which force.');
  expect(screen.getByText('Give points, too: then it is kept.')).toBeTruthy();
  expect(sent).toEqual([]);
  fireEvent.change(points(), { target: { value: '9' } });
  fireEvent.blur(points());
  expect((await screen.findByRole('alert')).textContent).toContain('0 to 4');
  fireEvent.change(points(), { target: { value: '3' } });
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
});

test('what was typed for a lab is there again when its page is opened anew, and for no other lab', () => {
  draftsOf('a').set('why/w', { points: '3', comment: 'Typed before going home' });
  const { drafts } = judging(draftsOf('a'));
  expect(points().value).toBe('3');
  expect(drafts.size).toBe(1);
  expect(draftsOf('b').size).toBe(0);
  draftsOf('a').clear();
});

test('what is typed and taken back is nothing that waits to be kept', () => {
  const sent = server(204);
  const { drafts } = judging();
  fireEvent.change(comment(), { target: { value: 'Hm' } });
  expect(drafts.size).toBe(1);
  fireEvent.change(comment(), { target: { value: '' } });
  fireEvent.blur(comment());
  expect(drafts.size).toBe(0);
  expect(sent).toEqual([]);
});
