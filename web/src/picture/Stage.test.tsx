import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { StageContext, useStageDrag } from './Stage';

afterEach(cleanup);

function Thing() {
  const [x, setX] = useState(0);
  const [dropped, setDropped] = useState<number | null>(null);
  const drag = useStageDrag((to, from) => setX(x + to.x - from.x), { end: () => setDropped(x) });
  return (
    <svg>
      <circle role="button" {...drag} aria-label={`at ${x}, dropped at ${dropped}`} />
    </svg>
  );
}

/** Pointer events one after the other, with no time for the page to draw between them. */
function pointer(on: Element, type: string, clientX: number) {
  on.dispatchEvent(new MouseEvent(type, { clientX, button: 0, bubbles: true }));
}

test.each(['pointerup', 'pointercancel'])(
  'no way is lost when several moves come between two pictures (%s)',
  async (last) => {
    Element.prototype.setPointerCapture = () => undefined;
    render(
      <StageContext.Provider value={{ pixel: 1, locate: (x, y) => ({ x, y }) }}>
        <Thing />
      </StageContext.Provider>,
    );
    const thing = screen.getByRole('button');
    pointer(thing, 'pointerdown', 100);
    for (const x of [130, 145, 180]) pointer(thing, 'pointermove', x);
    pointer(thing, last, 180);
    pointer(thing, 'pointermove', 300);
    await waitFor(() => expect(thing.getAttribute('aria-label')).toBe('at 80, dropped at 80'));
  },
);
