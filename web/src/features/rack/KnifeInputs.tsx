import { Checkbox, NumberInput, SegmentedControl, Select, TextInput } from '@mantine/core';
import type { Api, ApiProblem } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import { capital } from '../../shared/format';
import { LengthInput } from '../../shared/LengthInput';
import type { Fields } from './knifeFields';

interface Props {
  fields: Fields;
  change: (next: Partial<Fields>) => void;
  problem: ApiProblem | undefined;
}

const orNull = (value: string | number) => (value === '' ? null : Number(value));

/** The fields of the register; number, type and length are enough. */
export function KnifeInputs({ fields, change, problem }: Props) {
  const catalogue = useCatalogue();
  const kinds = catalogue.data?.knives ?? [];
  const kind = kinds.find((k) => k.id === fields.knife_type);
  const text = (key: 'number' | 'name' | 'note' | 'handle' | 'stored', label: string) => (
    <TextInput
      label={label}
      withAsterisk={key === 'number'}
      value={fields[key] ?? ''}
      onChange={(e) => change({ [key]: e.currentTarget.value })}
      error={problem?.at(`/${key}`)}
    />
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
        value={fields.knife_type}
        onChange={(id) => {
          const next = kinds.find((k) => k.id === id);
          if (next)
            change({
              knife_type: next.id,
              length: next.length.usual,
              heel_height: next.heel_height,
              hand: next.edge === 'single_bevel' ? 'right' : null,
              edge_angle: null,
            });
        }}
        error={problem?.at('/knife_type')}
      />
      <LengthInput
        label="Blade length"
        withAsterisk
        value={fields.length}
        onChange={(length) => change({ length: length ?? 0 })}
        error={problem?.at('/length')}
      />
      <LengthInput
        label="Height at the heel"
        value={fields.heel_height}
        onChange={(height) => change({ heel_height: height ?? 0 })}
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
      {kind?.edge !== 'serrated' && (
        <NumberInput
          label="Angle per side, degrees"
          description={kind?.angle ? `usual: ${kind.angle.from} to ${kind.angle.to}` : undefined}
          value={fields.edge_angle ?? ''}
          onChange={(v) => change({ edge_angle: orNull(v) })}
          error={problem?.at('/edge_angle')}
        />
      )}
      <Made fields={fields} change={change} />
      {text('name', 'Name of its own')}
      {text('handle', 'Handle of')}
      {text('stored', 'Stored at')}
      <NumberInput
        label="Cost"
        min={0}
        value={fields.cost ?? ''}
        onChange={(v) => change({ cost: orNull(v) })}
        error={problem?.at('/cost')}
      />
      {text('note', 'Note')}
    </>
  );
}

/** How it is made. */
function Made({ fields, change }: Pick<Props, 'fields' | 'change'>) {
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
        value={fields.bolster ?? 'none'}
        onChange={(v) => v && change({ bolster: v as Api['Bolster'] })}
      />
      <Select
        label="Tang"
        allowDeselect={false}
        data={[
          { value: 'full', label: 'Full' },
          { value: 'partial', label: 'Partial' },
        ]}
        value={fields.tang ?? 'full'}
        onChange={(v) => v && change({ tang: v as Api['Tang'] })}
      />
      <Checkbox
        label="Hollowed sides"
        checked={fields.hollowed ?? false}
        onChange={(e) => change({ hollowed: e.currentTarget.checked })}
      />
    </>
  );
}
