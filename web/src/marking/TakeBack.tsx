import { useMutation } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { Button, Trouble } from '../ui';

/** Going on with what is handed in, where the teacher allows it. */
export function TakeBack({ work, onDone }: { work: string; onDone: () => Promise<unknown> }) {
  const back = useMutation({
    mutationFn: () => ask(api.POST('/api/works/{workId}/taking-back', { params: { path: { workId: work } } })),
    onSuccess: onDone,
  });
  return (
    <>
      <Trouble error={back.error} />
      <Button disabled={back.isPending} onClick={() => back.mutate()}>
        Take it back
      </Button>
    </>
  );
}
