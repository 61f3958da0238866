import type { FallbackProps } from 'react-error-boundary';
import { Button } from '../ui';

/** What stands in place of a page that could not be drawn. What was typed is on the device or the server already. */
export function Mishap({ error }: FallbackProps) {
  return (
    <main className="mx-auto flex max-w-prose flex-col gap-4 p-10" role="alert">
      <h1 className="text-lead font-bold">This page could not be shown</h1>
      <p>
        What you have typed is kept. Load the page again to go on where you were. If it happens again, tell your teacher
        what you did last and what stands below.
      </p>
      <p className="mono rounded-house bg-stage px-3 py-2 text-fine">
        {error instanceof Error ? error.message : String(error)}
      </p>
      <div className="flex gap-2">
        <Button kind="main" onClick={() => location.reload()}>
          Load the page again
        </Button>
        <Button onClick={() => location.assign('/')}>Go to the start</Button>
      </div>
    </main>
  );
}
