import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { ApiProblem, answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import { Trouble } from '../../shared/State';
import { KnifeInputs } from './KnifeInputs';
import type { Fields } from './knifeFields';
import { emptyKnife } from './knifeFields';

/** Puts knives on the rack: one, or several that are alike but for their numbers. */
export function AddForm({ done }: { done: (id: number) => void }) {
  const [fields, setFields] = useState<Fields>(emptyKnife);
  const [count, setCount] = useState(1);
  const save = useChange('knife', () => answer(api.POST('/api/rack/many', { body: { fields, count } })), {
    onSuccess: (kept) => {
      const last = kept.at(-1);
      if (last) done(last.id);
    },
  });
  const problem = save.error instanceof ApiProblem ? save.error : undefined;
  return (
    <form
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <NumberInput
        label="How many alike"
        description="numbered on from the first"
        min={1}
        max={60}
        value={count}
        onChange={(v) => setCount(Math.max(0, Math.min(65535, Math.round(Number(v)))))}
        error={problem?.at('/count')}
      />
      <KnifeInputs
        fields={fields}
        change={(next) => setFields((now) => ({ ...now, ...next }))}
        problem={problem}
      />
      <Button type="submit" loading={save.isPending}>
        Add to the rack
      </Button>
      {save.error && !problem?.document.problems.length && <Trouble error={save.error} />}
    </form>
  );
}
