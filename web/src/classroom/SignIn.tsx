import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import { Button, Field, Trouble } from '../ui';
import { Mark } from '../shell/Shell';

export function SignIn() {
  const queries = useQueryClient();
  const [userName, setUserName] = useState('');
  const [secret, setSecret] = useState('');
  const signIn = useMutation({
    mutationFn: () => ask(api.POST('/api/session', { body: { userName, secret } })),
    onSuccess: (me) => queries.setQueryData(['me'], me),
  });
  return (
    <main className="mx-auto flex min-h-full max-w-sm flex-col justify-center gap-6 px-6 py-10">
      <Mark />
      <div>
        <h1 className="text-title font-bold">Sign in</h1>
        <p className="text-soft">With the user name you were given, such as mira.holm.</p>
      </div>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          signIn.mutate();
        }}
      >
        <Field
          label="User name"
          autoComplete="username"
          autoCapitalize="none"
          value={userName}
          onChange={(e) => setUserName(e.target.value)}
          required
        />
        <Field
          label="Secret"
          type="password"
          autoComplete="current-password"
          value={secret}
          onChange={(e) => setSecret(e.target.value)}
          required
        />
        <Trouble error={signIn.error} />
        <Button kind="main" type="submit" disabled={signIn.isPending}>
          Sign in
        </Button>
      </form>
      <p>
        Have you been given a slip of paper with a code?{' '}
        <Link to="/enter" className="font-semibold text-indigo underline">
          Type the code
        </Link>
      </p>
      <p className="border-t pt-4">
        New here?{' '}
        <Link to="/join" className="font-semibold text-indigo underline">
          Type your class code
        </Link>
      </p>
    </main>
  );
}
