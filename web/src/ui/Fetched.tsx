import { Suspense, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';

/**
 * What is fetched only when it is asked for. Where that fails it says so in its own place: the page around it, with all
 * that is typed there, stays.
 */
export function Fetched({
  what,
  waiting,
  narrow = false,
  children,
}: {
  what: string;
  waiting?: ReactNode;
  /** In a header: a whole sentence would push away what stands beside it. */
  narrow?: boolean;
  children: ReactNode;
}) {
  const why = 'without the server. Load the page again when the network is back; nothing is lost.';
  return (
    <ErrorBoundary
      fallback={
        narrow ? (
          <p
            role="alert"
            title={`Not to be had ${why}`}
            className="w-28 text-right text-fine leading-tight text-copper"
          >
            {what}: not to be had <span className="sr-only">{why}</span>
          </p>
        ) : (
          <p role="alert" className="text-fine text-copper">
            {what}: not to be had {why}
          </p>
        )
      }
    >
      <Suspense fallback={waiting}>{children}</Suspense>
    </ErrorBoundary>
  );
}
