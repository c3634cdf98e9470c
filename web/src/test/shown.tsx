import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { NuqsAdapter } from 'nuqs/adapters/react-router/v7';
import { MemoryRouter } from 'react-router';
import { resolver, theme } from '../theme/theme';

// What a browser has and jsdom has not.
window.matchMedia = (media) =>
  ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
  }) as unknown as MediaQueryList;
class Observer {
  observe() {}
  unobserve() {}
  disconnect() {}
}
window.ResizeObserver = Observer;
Element.prototype.scrollIntoView = () => undefined;

/** A component as it stands in the program, with what was read before. */
export function shown(element: React.ReactNode, read: [readonly unknown[], unknown][] = []) {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity, retry: false } } });
  for (const [key, data] of read) client.setQueryData(key, data);
  return render(element, {
    wrapper: ({ children }) => (
      <MantineProvider theme={theme} cssVariablesResolver={resolver} env="test">
        <QueryClientProvider client={client}>
          <MemoryRouter>
            <NuqsAdapter>{children}</NuqsAdapter>
          </MemoryRouter>
        </QueryClientProvider>
      </MantineProvider>
    ),
  });
}
