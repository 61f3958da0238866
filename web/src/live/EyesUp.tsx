import { useMutation } from '@tanstack/react-query';
import { Eye, Play } from 'lucide-react';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { timeOfDay } from '../ui/dates';
import { Button, inputClass, Trouble } from '../ui';

function usePause(classId: string) {
  const path = { params: { path: { id: classId } } };
  const begin = useMutation({
    mutationFn: (words: string) => ask(api.POST('/api/teaching/classes/{id}/pause', { ...path, body: { words } })),
  });
  const end = useMutation({ mutationFn: () => ask(api.DELETE('/api/teaching/classes/{id}/pause', path)) });
  return { begin, end };
}

/** Has the whole class look up. */
export function EyesUpButton({ classId }: { classId: string }) {
  const { begin } = usePause(classId);
  return (
    <>
      <Trouble error={begin.error} />
      <Button kind="main" disabled={begin.isPending} onClick={() => begin.mutate('')}>
        <Eye size={16} aria-hidden />
        Eyes up
      </Button>
    </>
  );
}

/** While the class pauses: what it is told, and how it goes on. */
export function PausedBanner({ classId, paused }: { classId: string; paused: Schemas['PauseView'] }) {
  const { begin, end } = usePause(classId);
  const [words, setWords] = useState('');
  return (
    <section
      aria-label="The class pauses"
      className="mb-2 flex flex-wrap items-center gap-3 rounded-house border-2 border-copper bg-sheet px-3 py-1.5"
    >
      <p className="font-semibold">
        The class pauses since {timeOfDay(new Date(paused.since))}
        {paused.words && <span className="font-normal"> and reads “{paused.words}”</span>}
      </p>
      <form
        className="flex min-w-60 flex-1 gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          begin.mutate(words, { onSuccess: () => setWords('') });
        }}
      >
        <input
          className={`${inputClass} flex-1`}
          aria-label="What the class reads meanwhile"
          placeholder="What the class reads meanwhile"
          maxLength={200}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        <Button type="submit" small disabled={!words.trim() || begin.isPending}>
          Show it
        </Button>
      </form>
      <Trouble error={begin.error ?? end.error} />
      <Button kind="main" disabled={end.isPending} onClick={() => end.mutate()}>
        <Play size={15} aria-hidden />
        Go on
      </Button>
    </section>
  );
}
