import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { Button, Dialog, Trouble } from '../ui';
import { CodeField } from './CodeField';

/** Another class with the account one has. */
export function JoinToo({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const [code, setCode] = useState('');
  const join = useMutation({
    mutationFn: () => ask(api.POST('/api/memberships', { body: { code } })),
    onSuccess: () => {
      onClose();
      void queries.invalidateQueries({ queryKey: ['assigned'] });
    },
  });
  return (
    <Dialog open onClose={onClose} title="Join another class">
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          join.mutate();
        }}
      >
        <CodeField value={code} onChange={setCode} />
        <Trouble error={join.error} />
        <Button kind="main" type="submit" disabled={join.isPending}>
          Join
        </Button>
      </form>
    </Dialog>
  );
}
