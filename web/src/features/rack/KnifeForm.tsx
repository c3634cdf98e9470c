import { Button, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useFields } from '../../shared/fields';
import { Trouble } from '../../shared/State';
import { useArchiveKnife, useSaveKnife } from './changes';
import { KnifeInputs } from './KnifeInputs';
import type { Fields } from './knifeFields';
import { fieldsOf } from './knifeFields';

/** The record of a knife on the rack. */
export function KnifeForm({ knife, onGone }: { knife: Api['Knife']; onGone: () => void }) {
  // The version that the fields were taken from: an edit from an older one is refused, not forced.
  const [version, setVersion] = useState(knife.version);
  const { form, trouble, told } = useFields<Fields>(fieldsOf(knife));
  const untouched = !form.isDirty();
  const adopt = (kept: Api['Knife']) => {
    setVersion(kept.version);
    form.setInitialValues(fieldsOf(kept));
    form.setValues(fieldsOf(kept));
    form.resetDirty();
  };
  if (untouched && knife.version > version) adopt(knife);
  const save = useSaveKnife(knife.id, adopt);
  const archive = useArchiveKnife(knife, onGone);
  return (
    <form className="stack" onSubmit={form.onSubmit((fields) => save.mutate({ version, fields }, told))}>
      <SegmentedControl
        aria-label="Edge"
        {...form.getInputProps('edge_state')}
        data={[
          { value: 'sharp', label: 'Sharp' },
          { value: 'dull', label: 'Dull' },
        ]}
      />
      <KnifeInputs form={form} />
      <div className="row">
        <Button type="submit" loading={save.isPending} disabled={untouched}>
          Save the knife
        </Button>
        <Button variant="default" onClick={() => archive.mutate(undefined)} loading={archive.isPending}>
          Off the rack
        </Button>
      </div>
      {save.isSuccess && <p role="status">Saved.</p>}
      <Trouble error={trouble} />
      <Trouble error={archive.error} />
    </form>
  );
}
