import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, Problem } from '../api/client';
import { NewSecret } from '../shell/NewSecret';
import { Button, Field, Trouble } from '../ui';
import { CodeField } from './CodeField';
import { Mark } from '../shell/Shell';

/** A student's first visit: class code, name, secret; then the user name to come back with. */
export function Join() {
  const [code, setCode] = useState('');
  const [displayName, setDisplayName] = useState('');
  const [secret, setSecret] = useState('');
  const join = useMutation({ mutationFn: () => ask(api.POST('/api/join', { body: { code, displayName, secret } })) });
  const problem = join.error instanceof Problem ? join.error : null;
  const errorOf = (field: string) => (problem?.field === field ? problem.message : null);
  return (
    <main className="mx-auto flex min-h-full max-w-sm flex-col justify-center gap-6 px-6 py-10">
      <Mark />
      {join.data ? (
        <section className="flex flex-col gap-4" aria-live="polite">
          <h1 className="text-title font-bold">You are in</h1>
          <p>To come back later, on any computer, sign in with this user name and your secret. Write it down now.</p>
          <p className="mono rounded-house border bg-sheet px-4 py-3 text-title" data-testid="user-name">
            {join.data.userName}
          </p>
          <Button kind="main" onClick={() => location.assign('/')}>
            Go to my labs
          </Button>
        </section>
      ) : (
        <>
          <div>
            <h1 className="text-title font-bold">Your class code</h1>
            <p className="text-soft">Your teacher has it. No e-mail is needed.</p>
          </div>
          <form
            className="flex flex-col gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              join.mutate();
            }}
          >
            <CodeField value={code} onChange={setCode} error={errorOf('code')} />
            <Field
              label="Your name"
              autoComplete="name"
              value={displayName}
              onChange={(e) => setDisplayName(e.target.value)}
              error={errorOf('displayName')}
              hint="As your class knows you"
              required
            />
            <NewSecret label="Choose a secret" value={secret} onChange={setSecret} error={errorOf('secret')} />
            <Trouble error={problem && !problem.field ? problem : problem ? null : join.error} />
            <Button kind="main" type="submit" disabled={join.isPending}>
              Join
            </Button>
          </form>
          <p className="border-t pt-4">
            You have a user name already?{' '}
            <Link to="/" className="font-semibold text-indigo underline">
              Sign in
            </Link>
          </p>
        </>
      )}
    </main>
  );
}
