import { useState } from 'react';
import { seriesOf } from '../core';
import { Button, Dialog, Field } from '../ui';

/** A series from start to end by equal steps, typed into a column from its first row on. */
export function FillDialog({
  name,
  onFill,
  onClose,
}: {
  name: string;
  onFill: (texts: string[]) => void;
  onClose: () => void;
}) {
  const [start, setStart] = useState('0');
  const [step, setStep] = useState('1');
  const [end, setEnd] = useState('10');
  const made = seriesOf(start, step, end);
  return (
    <Dialog open onClose={onClose} title={`Fill ${name} with a series`}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if ('texts' in made) onFill(made.texts);
        }}
      >
        <div className="grid grid-cols-3 gap-3">
          <Field label="From" mono value={start} onChange={(e) => setStart(e.target.value)} />
          <Field label="Step" mono value={step} onChange={(e) => setStep(e.target.value)} />
          <Field label="To" mono value={end} onChange={(e) => setEnd(e.target.value)} />
        </div>
        <p className={'error' in made ? 'text-copper' : 'text-soft'} aria-live="polite">
          {'error' in made
            ? made.error
            : `${made.texts.length} row` +
              `s: ${made.texts.slice(0, 3).join(', ')}${made.texts.length > 3 ? ` … ${made.texts.at(-1)}` : ''}`}
        </p>
        <Button kind="main" type="submit" disabled={'error' in made}>
          Fill
        </Button>
      </form>
    </Dialog>
  );
}
