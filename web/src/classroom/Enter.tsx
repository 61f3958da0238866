import { useMutation } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, Problem, type Schemas } from '../api/client';
import { Mark } from '../shell/Shell';
import { NewSecret } from '../shell/NewSecret';
import { Button, Field, Trouble } from '../ui';

/** Choosing one's secret with a one-time code. The code stands behind the address's #, where no log keeps it. */
export function Enter() {
  const [code, setCode] = useState(decodeURIComponent(location.hash.slice(1)));
  const [found, setFound] = useState<Schemas['CodeFound'] | null>(null);
  const [userName, setUserName] = useState('');
  const [displayName, setDisplayName] = useState('');
  const [secret, setSecret] = useState('');
  const look = useMutation({
    mutationFn: () => ask(api.POST('/api/enter/look', { body: { code } })),
    onSuccess: setFound,
  });
  const enter = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/enter', { body: { code, secret, ...(found?.first && { userName, displayName }) } })),
    onSuccess: () => location.assign('/'),
  });
  const lookAtOnce = useEffectEvent(() => look.mutate());
  useEffect(() => {
    if (location.hash.length > 1) lookAtOnce();
  }, []);
  const problem = enter.error instanceof Problem ? enter.error : null;
  const errorOf = (field: string) => (problem?.field === field ? problem.message : null);
  return (
    <main className="mx-auto flex min-h-full max-w-sm flex-col justify-center gap-6 px-6 py-10">
      <Mark />
      {!found ? (
        <>
          <div>
            <h1 className="text-title font-bold">Enter with a code</h1>
            <p className="text-soft">The one-time code on your slip lets you choose a secret of your own.</p>
          </div>
          <form
            className="flex flex-col gap-3"
            onSubmit={(e) => {
              e.preventDefault();
              look.mutate();
            }}
          >
            <Field
              label="One-time code"
              mono
              autoCapitalize="characters"
              autoComplete="off"
              value={code}
              onChange={(e) => setCode(e.target.value)}
              hint="Twelve letters and digits"
              required
            />
            <Trouble error={look.error} />
            <Button kind="main" type="submit" disabled={look.isPending}>
              Go on
            </Button>
          </form>
        </>
      ) : (
        <>
          <div>
            <h1 className="text-title font-bold">
              {found.first ? 'The first administrator' : `Hello, ${found.displayName}`}
            </h1>
            <p className="text-soft">
              {found.first ? (
                'You look after Cauldron at your school: you make the teachers’ accounts.'
              ) : (
                <>
                  Your user name is <b className="mono text-ink">{found.userName}</b>. Choose a secret to sign in with.
                </>
              )}
            </p>
          </div>
          <form
            className="flex flex-col gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              enter.mutate();
            }}
          >
            {found.first && (
              <Field
                label="Your name"
                autoComplete="name"
                value={displayName}
                onChange={(e) => setDisplayName(e.target.value)}
                error={errorOf('displayName')}
                required
              />
            )}
            {found.first && (
              <Field
                label="User name"
                autoComplete="username"
                autoCapitalize="none"
                value={userName}
                onChange={(e) => setUserName(e.target.value)}
                error={errorOf('userName')}
                hint="Small letters, digits, dots and hyphens"
                required
              />
            )}
            {!found.first && (
              <input type="text" name="username" autoComplete="username" readOnly hidden value={found.userName ?? ''} />
            )}
            <NewSecret label="Choose a secret" value={secret} onChange={setSecret} error={errorOf('secret')} />
            <Trouble
              error={
                problem?.field && ['displayName', 'userName', 'secret'].includes(problem.field) ? null : enter.error
              }
            />
            <Button kind="main" type="submit" disabled={enter.isPending}>
              {found.first ? 'Make the account' : 'Keep it and sign in'}
            </Button>
          </form>
        </>
      )}
      <p className="border-t pt-4">
        You have a secret already?{' '}
        <Link to="/" className="font-semibold text-indigo underline">
          Sign in
        </Link>
      </p>
    </main>
  );
}
