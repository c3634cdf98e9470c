import { ErrorBoundary } from 'react-error-boundary';
import { Failed } from './State';

/**
 * Keeps a view that cannot be shown from taking the page with it: its script could not be loaded, because the
 * program is down or was updated meanwhile, or it went wrong. What was typed is kept on the device.
 */
export function Boundary({ at, children }: { at: string; children: React.ReactNode }) {
  return (
    <ErrorBoundary
      resetKeys={[at]}
      fallbackRender={() => (
        <Failed
          error={new Error('This view could not be shown. What was typed is kept; load the page again.')}
          again={() => window.location.reload()}
        />
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
