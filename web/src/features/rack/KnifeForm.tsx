import { Button, NumberInput, SegmentedControl, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem, answer, api } from '../../api/client';
import { useCatalogue, useChange } from '../../api/queries';
import { capital } from '../../shared/format';
import { Trouble } from '../../shared/State';

type Fields = Api['KnifeFields'];

const empty: Fields = {
  number: '',
  knife_type: 'chefs',
  length: 200,
  heel_height: 47,
  hand: null,
  edge_state: 'sharp',
  note: '',
};

const fieldsOf = ({ number, knife_type, length, heel_height, hand, edge_state, note }: Fields): Fields => ({
  number,
  knife_type,
  length,
  heel_height,
  hand,
  edge_state,
  note,
});

/** A knife's record: of one on the rack, or of a new one. */
export function KnifeForm({ knife, done }: { knife?: Api['Knife']; done?: (id: number) => void }) {
  const catalogue = useCatalogue();
  const [fields, setFields] = useState<Fields>(knife ? fieldsOf(knife) : empty);
  const change = (next: Partial<Fields>) => setFields((now) => ({ ...now, ...next }));
  const kinds = catalogue.data?.knives ?? [];
  const save = useChange(
    () =>
      knife
        ? answer(
            api.PUT('/api/rack/{id}', {
              params: { path: { id: knife.id } },
              body: { version: knife.version, fields },
            }),
          )
        : answer(api.POST('/api/rack', { body: fields })),
    { onSuccess: (kept) => done?.(kept.id) },
  );
  const problem = save.error instanceof ApiProblem ? save.error : undefined;
  const kind = kinds.find((k) => k.id === fields.knife_type);
  const changed = !knife || JSON.stringify(fieldsOf(knife)) !== JSON.stringify(fields);
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
      <TextInput
        label="Note"
        value={fields.note}
        onChange={(e) => change({ note: e.currentTarget.value })}
        error={problem?.at('/note')}
      />
      <TextInput
        label="Number"
        value={fields.number}
        onChange={(e) => change({ number: e.currentTarget.value })}
        error={problem?.at('/number')}
      />
      <Select
        label="Type"
        searchable
        allowDeselect={false}
        data={kinds.map((k) => ({ value: k.id, label: capital(k.name) }))}
        value={fields.knife_type}
        onChange={(id) => {
          const next = kinds.find((k) => k.id === id);
          if (next)
            change({
              knife_type: next.id,
              length: next.length.usual,
              heel_height: next.heel_height,
              hand: next.edge === 'single_bevel' ? 'right' : null,
            });
        }}
        error={problem?.at('/knife_type')}
      />
      <NumberInput
        label="Blade length, mm"
        value={fields.length}
        onChange={(v) => change({ length: Number(v) })}
        error={problem?.at('/length')}
      />
      <NumberInput
        label="Height at the heel, mm"
        value={fields.heel_height}
        onChange={(v) => change({ heel_height: Number(v) })}
        error={problem?.at('/heel_height')}
      />
      {kind?.edge === 'single_bevel' && (
        <SegmentedControl
          aria-label="Ground for the"
          value={fields.hand ?? 'right'}
          onChange={(value) => change({ hand: value as Api['Hand'] })}
          data={[
            { value: 'right', label: 'Right hand' },
            { value: 'left', label: 'Left hand' },
          ]}
        />
      )}
      <div className="row">
        <Button type="submit" loading={save.isPending} disabled={!changed}>
          {knife ? 'Save the knife' : 'Add to the rack'}
        </Button>
        {knife && <Archive knife={knife} />}
      </div>
      {save.isSuccess && <p role="status">Saved.</p>}
      {save.error && !problem?.document.problems.length && <Trouble error={save.error} />}
    </form>
  );
}

function Archive({ knife }: { knife: Api['Knife'] }) {
  const archive = useChange(() =>
    answer(
      api.POST('/api/rack/{id}/archive', {
        params: { path: { id: knife.id } },
        body: { version: knife.version, archived: true },
      }),
    ),
  );
  return (
    <>
      <Button variant="default" onClick={() => archive.mutate(undefined)} loading={archive.isPending}>
        Off the rack
      </Button>
      <Trouble error={archive.error} />
    </>
  );
}
