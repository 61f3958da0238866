import { fireEvent, render, screen, within } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { workOut } from '../core';
import { GraphView } from '../graph/GraphView';
import { table } from './fixture';
import { onAPage } from '../ui/page.fixture';

onAPage();

test('the graph draws complete rows only and speaks the columns’ symbols', () => {
  const spec = table(['a', '40', '26'], ['b', '80', '36.5'], ['c', '120', '44.5'], ['d', '', '50']);
  const change = vi.fn();
  render(
    <GraphView
      table={spec}
      worked={workOut(spec)}
      choice={{ x: 'L', y: 'T', line: true, fits: [{ kind: 'line', series: 'T' }] }}
      readOnly={false}
      onChoice={change}
    />,
  );
  expect(document.querySelectorAll('[data-point]')).toHaveLength(3);
  expect(screen.getByTestId('equation').textContent).toMatch(/^T = \(.*\) s\/cm · L \+ .* s r² = 0\.99\d+, 3 points$/);
  fireEvent.change(screen.getByLabelText('along'), { target: { value: 't' } });
  expect(change).toHaveBeenCalledWith({ x: 't', y: 'T', line: true, fits: [{ kind: 'line', series: 'T' }] });
  fireEvent.click(screen.getByRole('button', { name: 'Swap the axes' }));
  expect(change).toHaveBeenLastCalledWith(
    expect.objectContaining({ x: 'T', y: 'L', fits: [{ kind: 'line', series: 'L' }] }),
  );
});

test('where no line fits, the graph says why', () => {
  const spec = table(['a', '40', '26'], ['b', '40', '36.5']);
  render(
    <GraphView
      table={spec}
      worked={workOut(spec)}
      choice={{ x: 'L', y: 'T', line: true, fits: [{ kind: 'line', series: 'T' }] }}
      readOnly={false}
      onChoice={() => undefined}
    />,
  );
  expect(screen.getByTestId('equation').textContent).toContain('same L');
});

test('box plots, histogram and dots are drawn from the core’s numbers', () => {
  const spec = table(
    ...Array.from({ length: 12 }, (_, i) => ['', String(i), String(20 + i)] as [string, string, string]),
  );
  const draw = (show: 'histogram' | 'box' | 'dots') =>
    render(
      <GraphView
        table={spec}
        worked={workOut(spec)}
        choice={{ y: 't', show, more: ['T'] }}
        readOnly={false}
        onChoice={() => undefined}
      />,
    ).container;
  expect(
    [...draw('histogram').querySelectorAll('[data-bin]')].reduce((n, b) => n + Number(b.getAttribute('data-bin')), 0),
  ).toBe(12);
  expect(screen.getByTestId('normal')).toBeTruthy();
  expect(draw('dots').querySelectorAll('[data-dot]')).toHaveLength(12);
  expect(draw('box').querySelectorAll('[data-box]')).toHaveLength(2);
});

test('the same data stand behind the graph as a table, and the graph comes back', () => {
  const watch = vi.fn((e: unknown) => {
    if (!(e instanceof Element)) throw new Error('nothing to measure');
  });
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe = watch;
      unobserve() {}
      disconnect() {}
    },
  );
  const spec = table(['a', '40', '26'], ['b', '80', '36.5']);
  render(
    <GraphView
      table={spec}
      worked={workOut(spec)}
      choice={{ x: 'L', y: 't' }}
      readOnly={false}
      onChoice={() => undefined}
    />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Data' }));
  expect(
    within(screen.getByRole('region', { name: 'Data of the graph' }))
      .getAllByRole('row')
      .map((r) => r.textContent),
  ).toEqual(['rowalongup±', '14026', '28036.5']);
  fireEvent.click(screen.getByRole('button', { name: 'Data' }));
  expect(document.querySelectorAll('[data-point]')).toHaveLength(2);
  expect(watch).toHaveBeenCalledTimes(2);
});
