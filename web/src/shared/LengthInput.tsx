import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { length, readLength, useUnit } from './format';

interface Props {
  label: string;
  description?: string;
  /** Shown while nothing is set. */
  placeholder?: string;
  /** mm; none while nothing is set. */
  value: number | null | undefined;
  /** A length in mm; none where the field was emptied. */
  onChange: (mm: number | null) => void;
  error?: string | undefined;
  withAsterisk?: boolean;
}

/** A length as it is typed: millimetres, or inches as kitchen fractions, whichever are shown. */
export function LengthInput({ label, value, onChange, error, ...rest }: Props) {
  const [unit] = useUnit();
  const [typed, setTyped] = useState<string>();
  const shown = value === null || value === undefined ? '' : length(value, unit, true);
  const unread = typed !== undefined && typed.trim() !== '' && readLength(typed, unit) === undefined;
  return (
    <TextInput
      label={`${label}, ${unit}`}
      inputMode={unit === 'mm' ? 'decimal' : 'text'}
      value={typed ?? shown}
      onChange={(event) => {
        const text = event.currentTarget.value;
        setTyped(text);
        const read = readLength(text, unit);
        if (text.trim() === '') onChange(null);
        else if (read !== undefined) onChange(read);
      }}
      // What was typed stays until it is left, so that `1/` can become `1/8`.
      onBlur={() => !unread && setTyped(undefined)}
      error={unread ? `“${typed}” is no length: write ${unit === 'mm' ? '3.2' : '1/8 or 1-1/2'}` : error}
      {...rest}
    />
  );
}
