import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, Problem } from '../api/client';
import { NewSecret } from './NewSecret';
import { Button, Dialog, Field, Trouble } from '../ui';

/** Changing one's own secret. */
export function MySecret({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [current, setCurrent] = useState('');
  const [secret, setSecret] = useState('');
  const change = useMutation({ mutationFn: () => ask(api.POST('/api/me/secret', { body: { current, secret } })) });
  const problem = change.error instanceof Problem ? change.error : null;
  const errorOf = (field: string) => (problem?.field === field ? problem.message : null);
  const close = () => {
    change.reset();
    setCurrent('');
    setSecret('');
    onClose();
  };
  return (
    <Dialog open={open} onClose={close} title="Change my secret">
      {change.isSuccess ? (
        <div className="flex flex-col gap-4">
          <p role="status">Your new secret holds from now on. Wherever else you were signed in, you are signed out.</p>
          <Button kind="main" onClick={close}>
            Good
          </Button>
        </div>
      ) : (
        <form
          className="flex flex-col gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate();
          }}
        >
          <Field
            label="Present secret"
            type="password"
            autoComplete="current-password"
            value={current}
            onChange={(e) => setCurrent(e.target.value)}
            error={errorOf('current')}
            required
          />
          <NewSecret label="New secret" value={secret} onChange={setSecret} error={errorOf('secret')} />
          <Trouble error={problem?.field ? null : change.error} />
          <Button kind="main" type="submit" disabled={change.isPending}>
            Change it
          </Button>
        </form>
      )}
    </Dialog>
  );
}
