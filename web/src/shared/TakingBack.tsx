import { Button, TextInput } from '@mantine/core';
import type { Api } from '../api/client';
import { useFields } from './fields';
import { Trouble } from './State';
import { useWho } from './who';

type Told = { onError: (error: unknown) => void; onSuccess: () => void };

export interface Taking {
  /** This sample, This incident. */
  what: string;
  pending: boolean;
  onTakeBack: (said: Api['TakeBack'], told: Told) => void;
}

/** Who takes it back, and why. */
export default function TakingBack({ what, pending, onTakeBack, cancel }: Taking & { cancel: () => void }) {
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
