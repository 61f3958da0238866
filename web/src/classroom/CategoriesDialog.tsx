import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Button, Dialog, inputClass, Trouble } from '../ui';

interface Kind {
  id: string;
  name: string;
  weight: string;
}

/** Categories of a class's labs, their weights, and which lab is in which. */
export function CategoriesDialog({ book, onClose }: { book: Schemas['GradebookView']; onClose: () => void }) {
  const queries = useQueryClient();
  const [kinds, setKinds] = useState<Kind[]>(() =>
    book.categories.map((c) => ({ id: c.id, name: c.name, weight: String(c.weight) })),
  );
  const [labs, setLabs] = useState(() => new Map(book.labs.map((l) => [l.assignmentId, l.category ?? ''])));
  const keep = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/teaching/classes/{id}/categories', {
          params: { path: { id: book.id } },
          body: {
            categories: kinds.map((k) => ({
              id: k.id,
              name: k.name,
              weight: Number(k.weight.replace(',', '.')),
            })),
            labs: [...labs]
              .filter(([, category]) => kinds.some((k) => k.id === category))
              .map(([assignmentId, category]) => ({ assignmentId, category })),
          },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['gradebook', book.id] });
      onClose();
    },
  });
  const change = (id: string, next: Partial<Kind>) => setKinds(kinds.map((k) => (k.id === id ? { ...k, ...next } : k)));
  return (
    <Dialog open onClose={onClose} title="Categories and weights" wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate();
        }}
      >
        <p className="text-soft">
          Within a category points are added up; categories are weighed against each other. Labs in none share a weight
          of 1.
        </p>
        <ul className="flex flex-col gap-2">
          {kinds.map((k, i) => (
            <li key={k.id} className="flex items-center gap-2">
              <input
                className={`${inputClass} flex-1`}
                aria-label={`Name of category ${i + 1}`}
                value={k.name}
                maxLength={40}
                required
                onChange={(e) => change(k.id, { name: e.target.value })}
              />
              <label className="flex items-center gap-1.5">
                weight
                <input
                  className={`${inputClass} mono w-20 text-right`}
                  inputMode="decimal"
                  aria-label={`Weight of category ${i + 1}`}
                  value={k.weight}
                  required
                  onChange={(e) => change(k.id, { weight: e.target.value })}
                />
              </label>
              <Button
                small
                kind="quiet"
                aria-label={`Take category ${i + 1} away`}
                onClick={() => setKinds(kinds.filter((x) => x.id !== k.id))}
              >
                <Trash2 size={14} aria-hidden />
              </Button>
            </li>
          ))}
        </ul>
        <Button
          small
          className="self-start"
          disabled={kinds.length >= 20}
          onClick={() => setKinds([...kinds, { id: crypto.randomUUID(), name: '', weight: '1' }])}
        >
          <Plus size={14} aria-hidden />
          Category
        </Button>
        {kinds.length > 0 && (
          <fieldset className="flex max-h-[40vh] flex-col gap-1.5 overflow-auto">
            <legend className="pb-1 font-semibold">Labs</legend>
            {book.labs.map((lab) => (
              <label key={lab.assignmentId} className="flex items-center justify-between gap-3">
                <span className="truncate">{lab.title}</span>
                <select
                  className="w-48 shrink-0 rounded-house border border-edge bg-sheet px-2 py-1"
                  value={kinds.some((k) => k.id === labs.get(lab.assignmentId)) ? labs.get(lab.assignmentId) : ''}
                  onChange={(e) => setLabs(new Map(labs).set(lab.assignmentId, e.target.value))}
                >
                  <option value="">none</option>
                  {kinds.map((k, i) => (
                    <option key={k.id} value={k.id}>
                      {k.name || `category ${i + 1}`}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </fieldset>
        )}
        <Trouble error={keep.error} />
        <Button kind="main" type="submit" className="self-end" disabled={keep.isPending}>
          Keep it
        </Button>
      </form>
    </Dialog>
  );
}
