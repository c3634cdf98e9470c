import { NuqsAdapter } from 'nuqs/adapters/react-router/v7';
import { Outlet } from 'react-router';

/** The views that keep what was chosen in their address. */
export default function Addressed() {
  return (
    <NuqsAdapter defaultOptions={{ shallow: false }}>
      <Outlet />
    </NuqsAdapter>
  );
}
