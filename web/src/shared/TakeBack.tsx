import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { Suspense, lazy } from 'react';
import type { Api } from '../api/client';
import { civil, day, hour } from './format';
import { Mark } from './mark';
import type { Taking } from './TakingBack';

// A form is loaded when one is asked for: the yard and the class come up without it.
const TakingBack = lazy(() => import('./TakingBack'));

/** Takes back what was kept by mistake or twice. It stays, with who and why, and counts no more. */
export function TakeBack({ what, pending, onTakeBack }: Taking) {
  const [open, { toggle }] = useDisclosure();
  if (!open)
    return (
      <Button size="xs" variant="default" onClick={toggle} style={{ alignSelf: 'flex-start' }}>
        Take back…
      </Button>
    );
  return (
    <Suspense fallback={null}>
      <TakingBack what={what} pending={pending} onTakeBack={onTakeBack} cancel={toggle} />
    </Suspense>
  );
}

/** What was taken back, by whom and why. */
export function TakenBack({ taken, zone, what }: { taken: Api['TakenBack']; zone: string; what: string }) {
  const at = civil(taken.at, zone);
  return (
    <p className="row quiet" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
      <Mark kind="lapsed" size={13} label />
      <span>
        {what} taken back by {taken.who}, {day(at)} {hour(at)}: {taken.why}
      </span>
    </p>
  );
}
