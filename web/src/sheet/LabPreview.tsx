import { useMutation, useQuery } from '@tanstack/react-query';
import { ArrowLeft } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask } from '../api/client';
import { Journal } from '../notebook/journal';
import { GiveDialog } from '../classroom/GiveDialog';
import { Help } from '../shell/Help';
import { Button, Trouble } from '../ui';
import { PaperDialog } from '../ui/PaperDialog';
import { BlockView } from '../blocks/BlockView';
import { previewContext } from '../blocks/preview';
import type { Sheet } from '../core';

/** A lab as a student sees it, all parts open, to read before it is given to a class. */
export default function LabPreview() {
  const { labId = '' } = useParams();
  const [giving, setGiving] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['lab', labId],
    queryFn: () => ask(api.GET('/api/labs/{id}', { params: { path: { id: labId } } })),
  });
  const navigate = useNavigate();
  const copying = useMutation({
    mutationFn: () => ask(api.POST('/api/drafts', { body: { labId } })),
    onSuccess: ({ id }) => navigate(`/labs/${id}/write`),
  });
  const trying = useMutation({
    mutationFn: () => ask(api.POST('/api/teaching/tries', { body: { labId, asWritten: false } })),
    onSuccess: ({ workId }) => navigate(`/work/${workId}`, { state: { from: `/labs/${labId}` } }),
  });
  const journal = useMemo(() => new Journal(`preview-${labId}`, {}), [labId]);
  if (error)
    return (
      <div className="p-8">
        <Trouble error={error} />
      </div>
    );
  if (!data) return <p className="p-8 text-soft">Opening the lab …</p>;
  const sheet = data.sheet as unknown as Sheet;
  const context = previewContext(journal);
  return (
    <div className="min-h-full">
      <header className="sticky top-0 z-10 flex h-14 items-center gap-4 border-b bg-sheet px-6">
        <Link to="/catalogue" aria-label="Back to the catalogue" className="rounded-house p-1.5 hover:bg-line/50">
          <ArrowLeft size={18} />
        </Link>
        <h1 className="min-w-0 truncate text-lead font-bold">{sheet.title}</h1>
        <span className="shrink-0 text-soft">
          about {sheet.minutes} minutes · {sheet.points} points · {sheet.category}
        </span>
        <span className="ml-auto">
          <Help at="give" />
        </span>
        <PaperDialog at={`/api/labs/${labId}`} name={sheet.title} />
        <Button disabled={trying.isPending} onClick={() => trying.mutate()}>
          Try it
        </Button>
        <Button disabled={copying.isPending} onClick={() => copying.mutate()}>
          Copy and change
        </Button>
        <Button kind="main" onClick={() => setGiving(true)}>
          Give to a class
        </Button>
      </header>
      <Trouble error={copying.error ?? trying.error} />
      <main className="mx-auto grid max-w-6xl grid-cols-2 gap-5 px-6 py-6">
        {sheet.parts.map((part, i) => (
          <section key={part.id} className="flex flex-col gap-3 rounded-house border bg-sheet px-5 py-4">
            <h2 className="text-lead font-bold">
              <span className="mono text-soft">{i + 1}</span> {part.title}
            </h2>
            {part.blocks.map((b) =>
              b.type === 'films' ? (
                <Offer key={b.id} block={b} />
              ) : (
                <BlockView key={b.id} block={b} context={context} />
              ),
            )}
          </section>
        ))}
      </main>
      {giving && <GiveDialog labId={labId} title={sheet.title} onClose={() => setGiving(false)} />}
    </div>
  );
}

function Offer({ block }: { block: Extract<Sheet['parts'][number]['blocks'][number], { type: 'films' }> }) {
  return (
    <div className="rounded-house border border-l-3 border-l-copper px-3 py-2">
      <p className="font-semibold">
        Recordings to choose from{' '}
        <span className="text-fine font-normal text-soft">{block.distinctTrials} different ones asked for</span>
      </p>
      {block.choices.map((c) => (
        <p key={c.id} className="text-fine">
          <span className="text-soft">{c.name}:</span>{' '}
          {c.options.map((o) => o.name + (o.demonstration ? ' (your example)' : '')).join(', ')}
        </p>
      ))}
    </div>
  );
}
