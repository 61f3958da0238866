import { Suspense, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';

/**
 * What is fetched only when it is asked for. Where that fails it says so in its own place: the page around it, with all
 * that is typed there, stays.
 */
export function Fetched({ what, waiting, children }: { what: string; waiting?: ReactNode; children: ReactNode }) {
  return (
    <ErrorBoundary
      fallback={
        <p role="alert" className="text-fine text-copper">
          {what}: not to be had without the server. Load the page again when the network is back; nothing is lost.
        </p>
      }
    >
      <Suspense fallback={waiting}>{children}</Suspense>
    </ErrorBoundary>
  );
}
