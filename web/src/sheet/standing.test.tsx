import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import { act } from 'react';
import { expect, test, vi } from 'vitest';
import { manifestOf, type BlockOf } from '../core';
import type { InstrumentState } from '../instruments/kind/state';
import type { Journal } from '../notebook/journal';
import { onAPage } from '../ui/page.fixture';
import { FilmDesk } from './FilmDesk';
import { Standing, useOffer, useStands } from './standing';

onAPage();

/** A bench whose stopwatch shows five seconds. */
const watched = {
  tray: (await manifestOf('pendulum')).instruments.filter((i) => i.kind === 'stopwatch'),
  placing: { stopwatch: { zero: 0, laps: [], cycles: 0 } },
  frame: 5,
  seconds: (f: number) => f,
} as unknown as InstrumentState;

function Cell({ standing, unit }: { standing: Standing; unit: string | null }) {
  return <p>{`${useStands(standing)} ${useOffer(standing, unit) ?? 'nothing'}`}</p>;
}

test('a cell is offered what the bench in view shows, as long as it stands there', () => {
  const standing = new Standing();
  render(<Cell standing={standing} unit="s" />);
  expect(screen.getByText('false nothing')).toBeTruthy();
  act(() => standing.tell({ state: watched, reading: () => undefined }));
  expect(screen.getByText('true Stopwatch')).toBeTruthy();
  act(() => standing.tell(null));
  expect(screen.getByText('false nothing')).toBeTruthy();
});

test('where there is no recording yet, no value is tied to the bench that stood there before', () => {
  const standing = new Standing();
  standing.tell({ state: watched, reading: () => ({ trial: 'of another bench', frame: 1, instruments: {} }) });
  const block = { id: 'f', type: 'films', choices: [], views: ['side'], instruments: [], apparatus: 'pendulum' };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <FilmDesk
        block={block as unknown as BlockOf<'films'>}
        work="w"
        journal={{} as Journal}
        slots={undefined}
        trials={[]}
        readOnly={false}
        place={{ trial: null, view: '', frame: 0, placing: {} }}
        onPlace={vi.fn()}
        aside={false}
        standing={standing}
        onTake={vi.fn()}
      />
    </QueryClientProvider>,
  );
  expect(screen.getByText(/Choose above what to film/)).toBeTruthy();
  expect(standing.now()).toBeNull();
});
