import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { ApiProblem } from '../../api/client';
import { useFields, whole } from '../../shared/fields';
import { Trouble } from '../../shared/State';
import { useAddKnives } from './changes';
import { KnifeInputs } from './KnifeInputs';
import type { Fields } from './knifeFields';
import { emptyKnife } from './knifeFields';

/** Puts knives on the rack: one, or several that are alike but for their numbers. */
export function AddForm({ done }: { done: (id: number) => void }) {
  const { form, trouble, told } = useFields<Fields>(emptyKnife, ['count']);
  const [count, setCount] = useState(1);
  const save = useAddKnives((kept) => {
    const last = kept.at(-1);
    if (last) done(last.id);
  });
  return (
    <form className="stack" onSubmit={form.onSubmit((fields) => save.mutate({ fields, count }, told))}>
      <NumberInput
        label="How many alike"
        description="numbered on from the first"
        min={1}
        max={60}
        value={count}
        onChange={(v) => setCount(whole(v))}
        error={save.error instanceof ApiProblem ? save.error.at('/count') : undefined}
      />
      <KnifeInputs form={form} />
      <Button type="submit" loading={save.isPending}>
        Add to the rack
      </Button>
      <Trouble error={trouble} />
    </form>
  );
}
