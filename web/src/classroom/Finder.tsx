import { Search } from 'lucide-react';
import { useId } from 'react';
import { apparatusList } from '../core';
import { Button, inputClass, Select } from '../ui';
import { ANYTHING, occurring, type Wanted } from './find';

const options = (any: string, words: string[]) => [
  { id: '', name: any },
  ...words.map((word) => ({ id: word, name: word })),
];
const TOPICS = options(
  'any topic',
  occurring(apparatusList, (a) => a.topics),
);
const QUANTITIES = options(
  'any quantity',
  occurring(apparatusList, (a) => a.quantities),
);
const WAYS = [
  { id: '', name: 'any way to work' },
  { id: 'recordings', name: 'measuring recordings' },
  { id: 'bench', name: 'setting and running a bench' },
];
const TIMES = [
  { id: '', name: 'any time' },
  ...[45, 50, 60, 75].map((m) => ({ id: String(m), name: `up to ${m} minutes` })),
];

/** What to look for in the catalogue. */
export function Finder({ wanted, onChange }: { wanted: Wanted; onChange: (w: Wanted) => void }) {
  const id = useId();
  const some = Object.values(wanted).some(Boolean);
  return (
    <search className="mb-6 flex flex-wrap items-center gap-3" aria-label="Catalogue">
      <div className="relative">
        <label htmlFor={id} className="sr-only">
          Search
        </label>
        <Search size={15} aria-hidden className="absolute top-2.5 left-2.5 text-soft" />
        <input
          id={id}
          type="search"
          className={`${inputClass} w-52 pl-8`}
          placeholder="Name, topic, word …"
          maxLength={80}
          value={wanted.words}
          onChange={(e) => onChange({ ...wanted, words: e.target.value })}
        />
      </div>
      {(
        [
          ['topic', 'Topic', TOPICS],
          ['quantity', 'Quantity', QUANTITIES],
          ['way', 'Way to work', WAYS],
          ['time', 'Time', TIMES],
        ] as const
      ).map(([field, label, list]) => (
        <Select
          key={field}
          label={label}
          hideLabel
          className="[&>select]:w-41"
          value={wanted[field]}
          onChange={(value) => onChange({ ...wanted, [field]: value })}
          options={list}
        />
      ))}
      {some && (
        <Button small onClick={() => onChange(ANYTHING)}>
          Show all
        </Button>
      )}
    </search>
  );
}
