import { Checkbox, NumberInput, SegmentedControl, Select, TextInput } from '@mantine/core';
import { useCatalogue } from '../../api/queries';
import { orNull } from '../../shared/fields';
import type { FieldsForm } from '../../shared/fields';
import { capital } from '../../shared/format';
import { LengthInput } from '../../shared/LengthInput';
import type { Fields } from './knifeFields';

interface Props {
  form: FieldsForm<Fields>;
}

/** The fields of the register; number, type and length are enough. */
export function KnifeInputs({ form }: Props) {
  const fields = form.values;
  const catalogue = useCatalogue();
  const kinds = catalogue.data?.knives ?? [];
  const kind = kinds.find((k) => k.id === fields.knife_type);
  const text = (key: 'number' | 'name' | 'note' | 'handle' | 'stored', label: string) => (
    <TextInput label={label} withAsterisk={key === 'number'} {...form.getInputProps(key)} />
  );
  return (
    <>
      {text('number', 'Number')}
      <Select
        label="Type"
        withAsterisk
        searchable
        allowDeselect={false}
        data={kinds.map((k) => ({ value: k.id, label: capital(k.name) }))}
        {...form.getInputProps('knife_type')}
        onChange={(id) => {
          const next = kinds.find((k) => k.id === id);
          if (next)
            form.setValues({
              knife_type: next.id,
              length: next.length.usual,
              heel_height: next.heel_height,
              hand: next.edge === 'single_bevel' ? 'right' : null,
              edge_angle: null,
            });
        }}
      />
      <LengthInput
        label="Blade length"
        withAsterisk
        {...form.getInputProps('length')}
        value={fields.length}
        onChange={(length) => form.setFieldValue('length', length ?? 0)}
      />
      <LengthInput
        label="Height at the heel"
        {...form.getInputProps('heel_height')}
        value={fields.heel_height}
        onChange={(height) => form.setFieldValue('heel_height', height ?? 0)}
      />
      {kind?.edge === 'single_bevel' && (
        <SegmentedControl
          aria-label="Ground for the"
          {...form.getInputProps('hand')}
          value={fields.hand ?? 'right'}
          data={[
            { value: 'right', label: 'Right hand' },
            { value: 'left', label: 'Left hand' },
          ]}
        />
      )}
      {kind?.edge !== 'serrated' && (
        <NumberInput
          label="Angle per side, degrees"
          description={kind?.angle ? `usual: ${kind.angle.from} to ${kind.angle.to}` : undefined}
          {...form.getInputProps('edge_angle')}
          value={fields.edge_angle ?? ''}
          onChange={(v) => form.setFieldValue('edge_angle', orNull(v))}
        />
      )}
      <Made form={form} />
      {text('name', 'Name of its own')}
      {text('handle', 'Handle of')}
      {text('stored', 'Stored at')}
      <NumberInput
        label="Cost"
        min={0}
        {...form.getInputProps('cost')}
        value={fields.cost ?? ''}
        onChange={(v) => form.setFieldValue('cost', orNull(v))}
      />
      {text('note', 'Note')}
    </>
  );
}

/** How it is made. */
function Made({ form }: Props) {
  return (
    <>
      <Select
        label="Bolster"
        allowDeselect={false}
        data={[
          { value: 'none', label: 'None' },
          { value: 'half', label: 'Half' },
          { value: 'full', label: 'Full: the heel is not sharpened' },
        ]}
        {...form.getInputProps('bolster')}
      />
      <Select
        label="Tang"
        allowDeselect={false}
        data={[
          { value: 'full', label: 'Full' },
          { value: 'partial', label: 'Partial' },
        ]}
        {...form.getInputProps('tang')}
      />
      <Checkbox label="Hollowed sides" {...form.getInputProps('hollowed', { type: 'checkbox' })} />
    </>
  );
}
