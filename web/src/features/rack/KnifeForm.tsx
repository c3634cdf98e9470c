import { Button, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem, answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import { Trouble } from '../../shared/State';
import { KnifeInputs } from './KnifeInputs';
import type { Fields } from './knifeFields';
import { fieldsOf } from './knifeFields';

/** The record of a knife on the rack. */
export function KnifeForm({ knife, onGone }: { knife: Api['Knife']; onGone: () => void }) {
  // The version that the fields were taken from: an edit from an older one is refused, not forced.
  const [base, setBase] = useState(knife);
  const [fields, setFields] = useState<Fields>(fieldsOf(knife));
  const untouched = JSON.stringify(fieldsOf(base)) === JSON.stringify(fields);
  const adopt = (kept: Api['Knife']) => {
    setBase(kept);
    setFields(fieldsOf(kept));
  };
  if (untouched && knife.version > base.version) adopt(knife);
  const change = (next: Partial<Fields>) => setFields((now) => ({ ...now, ...next }));
  const save = useChange(
    'knife',
    () =>
      answer(
        api.PUT('/api/rack/{id}', {
          params: { path: { id: knife.id } },
          body: { version: base.version, fields },
        }),
      ),
    { onSuccess: adopt },
  );
  const archive = useChange(
    'knife',
    () =>
      answer(
        api.POST('/api/rack/{id}/archive', {
          params: { path: { id: knife.id } },
          body: { version: knife.version, archived: true },
        }),
      ),
    { onSuccess: onGone },
  );
  const problem = save.error instanceof ApiProblem ? save.error : undefined;
  return (
    <form
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <SegmentedControl
        aria-label="Edge"
        value={fields.edge_state}
        onChange={(value) => change({ edge_state: value as Api['EdgeState'] })}
        data={[
          { value: 'sharp', label: 'Sharp' },
          { value: 'dull', label: 'Dull' },
        ]}
      />
      <KnifeInputs fields={fields} change={change} problem={problem} />
      <div className="row">
        <Button type="submit" loading={save.isPending} disabled={untouched}>
          Save the knife
        </Button>
        <Button variant="default" onClick={() => archive.mutate(undefined)} loading={archive.isPending}>
          Off the rack
        </Button>
      </div>
      {save.isSuccess && <p role="status">Saved.</p>}
      {save.error && !problem?.document.problems.length && <Trouble error={save.error} />}
      <Trouble error={archive.error} />
    </form>
  );
}
