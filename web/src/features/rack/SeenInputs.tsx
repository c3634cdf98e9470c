import { NumberInput, SegmentedControl, Select } from '@mantine/core';
import { useId } from 'react';
import type { Api } from '../../api/client';
import { orNull } from '../../shared/fields';
import type { FieldsForm } from '../../shared/fields';
import { LengthInput } from '../../shared/LengthInput';

export type Seen = Required<Api['Inspected']>;

export const nothingSeen: Seen = {
  straight: null,
  flat: null,
  rivets: null,
  balance: null,
  steel: null,
  hand_length: null,
  hand: null,
};

/** What was seen of a knife, in the order in which one looks; what is not looked at yet is left open. */
export function SeenInputs({ form }: { form: FieldsForm<Seen> }) {
  const seen = form.values;
  return (
    <>
      <YesNo
        label="The edge, sighted from heel to tip"
        yes="Straight"
        no="Not straight"
        value={seen.straight}
        onChange={(straight) => form.setFieldValue('straight', straight)}
      />
      <YesNo
        label="The blade, sighted down the spine"
        yes="Flat"
        no="Warped or wavy"
        value={seen.flat}
        onChange={(flat) => form.setFieldValue('flat', flat)}
      />
      <Select
        label="Rivets and joints"
        placeholder="Not looked at yet"
        clearable
        data={[
          { value: 'flush', label: 'Flush' },
          { value: 'proud', label: 'Proud: they rub' },
          { value: 'gaps', label: 'A gap' },
          { value: 'none', label: 'No rivets, no gap' },
        ]}
        {...form.getInputProps('rivets')}
      />
      <NumberInput
        label="Balance point, mm from the heel"
        description="where it rests level on one finger: towards the tip, or below 0 in the handle"
        {...form.getInputProps('balance')}
        value={seen.balance ?? ''}
        onChange={(v) => form.setFieldValue('balance', orNull(v))}
      />
      <Select
        label="Made of"
        placeholder="Not known yet"
        clearable
        data={[
          { value: 'carbon', label: 'Carbon steel' },
          { value: 'stainless', label: 'Stainless steel' },
          { value: 'hard', label: 'Hard steel' },
          { value: 'ceramic', label: 'Ceramic' },
        ]}
        {...form.getInputProps('steel')}
      />
      <LengthInput
        label="Length of the hand it is for"
        description="wrist crease to the end of the middle finger"
        {...form.getInputProps('hand_length')}
        value={seen.hand_length}
        onChange={(length) => form.setFieldValue('hand_length', length)}
      />
      <Select
        label="That hand"
        placeholder="Either"
        clearable
        data={[
          { value: 'right', label: 'Right' },
          { value: 'left', label: 'Left' },
        ]}
        {...form.getInputProps('hand')}
      />
    </>
  );
}

interface YesNoProps {
  label: string;
  yes: string;
  no: string;
  value: boolean | null;
  onChange: (value: boolean | null) => void;
}

function YesNo({ label, yes, no, value, onChange }: YesNoProps) {
  const id = useId();
  return (
    <div>
      <div id={id} style={{ fontWeight: 600, fontSize: '0.875rem', marginBottom: 4 }}>
        {label}
      </div>
      <SegmentedControl
        fullWidth
        aria-labelledby={id}
        value={value === null ? 'open' : value ? 'yes' : 'no'}
        onChange={(next) => onChange(next === 'open' ? null : next === 'yes')}
        data={[
          { value: 'yes', label: yes },
          { value: 'no', label: no },
          { value: 'open', label: 'Not yet' },
        ]}
      />
    </div>
  );
}
