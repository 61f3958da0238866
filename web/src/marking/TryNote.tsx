import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, ask } from '../api/client';
import { Button, Trouble } from '../ui';

/** Tells a teacher that this is a try, and begins another one. */
export function TryNote({ lab, from }: { lab: string; from: string }) {
  const navigate = useNavigate();
  const again = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/teaching/tries', { body: { labId: lab, asWritten: from.endsWith('/write') } })),
    onSuccess: ({ workId }) => navigate(`/work/${workId}`, { replace: true, state: { from } }),
  });
  return (
    <>
      <Trouble error={again.error} />
      <p className="rounded-house border border-ochre bg-wash px-2 text-right text-fine leading-tight">
        Your try:
        <br />
        in no class
      </p>
      <Button small disabled={again.isPending} onClick={() => again.mutate()}>
        Begin anew
      </Button>
    </>
  );
}
