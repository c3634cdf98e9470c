import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useFields } from '../../shared/fields';
import { Trouble } from '../../shared/State';
import { useWho } from '../../shared/who';
import { useCorrectMark } from './changes';

interface Props {
  mark: Api['Mark'];
  name: string;
  faults: readonly Api['Fault'][];
  close: () => void;
}

/** Nothing was seen in its place. */
const NOTHING = 'nothing';

/** What was seen in truth, who says so and why. */
export default function Correcting({ mark, name, faults, close }: Props) {
  const [known, setWho] = useWho();
  const correct = useCorrectMark();
  const [instead, setInstead] = useState(NOTHING);
  const { form, trouble, told } = useFields<Api['TakeBack']>({ who: known, why: '' });
  const others = faults.filter((fault) => mark.what.kind !== 'fault' || mark.what.fault !== fault.id);
  return (
    <form
      className="stack"
      aria-label={`Correct: ${name}`}
      onSubmit={form.onSubmit((said) => {
        setWho(said.who);
        const what = instead === NOTHING ? null : ({ kind: 'fault', fault: instead } as const);
        correct.mutate({ id: mark.id, body: { ...said, instead: what } }, told);
      })}
    >
      <p className="quiet">It stays beside the others, with who and why, and counts no more.</p>
      <Select
        label="What was seen in truth"
        data={[
          { value: NOTHING, label: 'Nothing of the kind' },
          ...others.map((fault) => ({ value: fault.id, label: fault.short })),
        ]}
        value={instead}
        onChange={(value) => setInstead(value ?? NOTHING)}
        allowDeselect={false}
      />
      <TextInput label="Who corrects it" withAsterisk {...form.getInputProps('who')} />
      <TextInput
        label="Why"
        withAsterisk
        placeholder="e.g. the wrong student"
        {...form.getInputProps('why')}
      />
      <div className="row">
        <Button type="submit" size="xs" loading={correct.isPending}>
          Correct it
        </Button>
        <Button size="xs" variant="default" onClick={close}>
          Leave it
        </Button>
      </div>
      <Trouble error={trouble} />
    </form>
  );
}
