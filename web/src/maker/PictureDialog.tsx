import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { posted } from '../api/client';
import { Button, Dialog, Field, Trouble } from '../ui';

/** A picture from a file, with the words that stand for it. */
export function PictureDialog({ onClose, onPicture }: { onClose: () => void; onPicture: (markdown: string) => void }) {
  const [file, setFile] = useState<File | null>(null);
  const [words, setWords] = useState('');
  const bring = useMutation({
    mutationFn: async () => {
      const kept = await posted('/api/pictures', 'application/octet-stream', file!);
      return (await kept.json()) as { id: string };
    },
    onSuccess: ({ id }) => onPicture(`![${words.replace(/[[\]\n]/g, ' ').trim()}](picture:${id})`),
  });
  return (
    <Dialog open onClose={onClose} title="A picture">
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          bring.mutate();
        }}
      >
        <label className="flex flex-col gap-1">
          <span className="font-semibold">File</span>
          <input
            type="file"
            accept="image/png,image/jpeg"
            required
            onChange={(e) => setFile(e.target.files?.[0] ?? null)}
          />
          <span className="text-fine text-soft">PNG or JPEG, at most 5 MB. Large ones are made smaller.</span>
        </label>
        <Field
          label="What it shows, in words"
          value={words}
          required
          maxLength={300}
          onChange={(e) => setWords(e.target.value)}
          hint="Read aloud to whoever can’t see it"
        />
        <Trouble error={bring.error} />
        <Button kind="main" type="submit" disabled={!file || !words.trim() || bring.isPending}>
          {bring.isPending ? 'Bringing it …' : 'Put it in'}
        </Button>
      </form>
    </Dialog>
  );
}
