import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@mantine/core/styles.css';
import './theme/global.css';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { ApiProblem } from './api/client';
import { keepPage } from './api/worker';
import { resolver, theme } from './theme/theme';
import { SCHOOL } from './shared/school';

const client = new QueryClient({
  defaultOptions: {
    // A device without a network asks all the same: the worker answers from what it kept.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 5_000,
      retry: (count, error) => count < 2 && error instanceof ApiProblem && error.document.status === 0,
    },
  },
});

const nonce = document.querySelector('meta[name="csp-nonce"]')?.getAttribute('content') ?? '';
// Dialogues add a style of their own while they hold the page still.
setNonce(nonce);
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');

createRoot(root).render(
  <StrictMode>
    <MantineProvider
      theme={theme}
      cssVariablesResolver={resolver}
      getStyleNonce={() => nonce}
      defaultColorScheme="light"
    >
      <QueryClientProvider client={client}>
        <BrowserRouter basename={SCHOOL}>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </MantineProvider>
  </StrictMode>,
);

if (import.meta.env.PROD) void keepPage();
