import { Button, Loader } from '@mantine/core';
import { told } from '../api/client';
import { Mark } from './mark';

/** While something is read for the first time. */
export function Loading() {
  return (
    <div className="row" role="status" style={{ padding: 24 }}>
      <Loader size="sm" /> <span>One moment…</span>
    </div>
  );
}

/** When something could not be read, with a way to try again. */
export function Failed({ error, again }: { error: unknown; again: () => void }) {
  return (
    <main className="stack" role="alert" style={{ padding: 24, maxWidth: 560 }}>
      <h1>This did not work</h1>
      <p className="row">
        <Mark kind="stop" /> {told(error)}
      </p>
      <Button onClick={again}>Try again</Button>
    </main>
  );
}

/** A problem of a change that was not saved, where no field shows it. */
export function Trouble({ error }: { error: unknown }) {
  if (!error) return null;
  return (
    <p className="chip" data-kind="stop" role="alert">
      <Mark kind="stop" /> {told(error)}
    </p>
  );
}
