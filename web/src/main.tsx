import { begun } from './app/begin';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Tooltip } from 'radix-ui';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter } from 'react-router';
import { Problem } from './api/client';
import { Mishap } from './shell/Mishap';
import { Places } from './app/Places';
import './styles.css';

const queries = new QueryClient({
  defaultOptions: {
    // Without the network a question fails in words; left to itself the library would wait for it and say nothing.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      retry: (count, error) => !(error instanceof Problem && error.status >= 400 && error.status < 500) && count < 3,
      refetchOnWindowFocus: false,
    },
  },
});

void begun.then(() =>
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <Tooltip.Provider delayDuration={400}>
          <BrowserRouter>
            <ErrorBoundary FallbackComponent={Mishap}>
              <Places />
            </ErrorBoundary>
          </BrowserRouter>
        </Tooltip.Provider>
      </QueryClientProvider>
    </StrictMode>,
  ),
);
