// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import { Suspense, lazy } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { shown } from '../test/shown';
import { Boundary } from './Boundary';

afterEach(cleanup);

const Gone = lazy(() => Promise.reject(new TypeError('Failed to fetch dynamically imported module')));

describe('a view', () => {
  it('whose script cannot be loaded is told with a way back, and the rest of the page stays', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    shown(
      <>
        <p>the frame</p>
        <Boundary at="/plan">
          <Suspense fallback="…">
            <Gone />
          </Suspense>
        </Boundary>
      </>,
    );
    expect((await screen.findByRole('alert')).textContent).toContain('What was typed is kept');
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
    expect(screen.getByText('the frame')).toBeTruthy();
  });
});
