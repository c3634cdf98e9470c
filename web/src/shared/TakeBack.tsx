import { Button, TextInput } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import type { Api } from '../api/client';
import { useFields } from './fields';
import { civil, day, hour } from './format';
import { Mark } from './mark';
import { Trouble } from './State';
import { useWho } from './who';

type Told = { onError: (error: unknown) => void; onSuccess: () => void };

interface Props {
  /** This sample, This incident. */
  what: string;
  pending: boolean;
  onTakeBack: (said: Api['TakeBack'], told: Told) => void;
}

/** Takes back what was kept by mistake or twice. It stays, with who and why, and counts no more. */
export function TakeBack({ what, pending, onTakeBack }: Props) {
  const [open, { toggle }] = useDisclosure();
  if (!open)
    return (
      <Button size="xs" variant="default" onClick={toggle} style={{ alignSelf: 'flex-start' }}>
        Take back…
      </Button>
    );
  return <Saying what={what} pending={pending} onTakeBack={onTakeBack} cancel={toggle} />;
}

function Saying({ what, pending, onTakeBack, cancel }: Props & { cancel: () => void }) {
  const [known, setWho] = useWho();
  const { form, trouble, told } = useFields<Api['TakeBack']>({ who: known, why: '' });
  return (
    <form
      className="stack"
      aria-label={`Take back: ${what}`}
      onSubmit={form.onSubmit((said) => {
        setWho(said.who);
        onTakeBack(said, told);
      })}
    >
      <p className="quiet">It stays beside the others, with who and why, and counts no more.</p>
      <TextInput label="Who takes it back" withAsterisk {...form.getInputProps('who')} />
      <TextInput label="Why" withAsterisk placeholder="e.g. entered twice" {...form.getInputProps('why')} />
      <div className="row">
        <Button type="submit" size="xs" loading={pending}>
          Take it back
        </Button>
        <Button size="xs" variant="default" onClick={cancel}>
          Leave it
        </Button>
      </div>
      <Trouble error={trouble} />
    </form>
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
