import { Button, NumberInput, Select } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import { Mark } from '../../shared/mark';

interface Props {
  segment: Api['SegmentOnRule'];
  onChange: (minutes: number) => void;
  onRemove: () => void;
  onAdd: (kind: Api['SegmentKind'], minutes: number) => void;
}

/** The selected segment: its minutes, taking it out, and adding one after it. */
export function SegmentEditor({ segment, onChange, onRemove, onAdd }: Props) {
  const catalogue = useCatalogue();
  const kinds = catalogue.data?.segments ?? [];
  const [kind, setKind] = useState<string | null>(null);
  return (
    <section className="card row" aria-label={`Segment ${segment.name}`} style={{ alignItems: 'flex-end' }}>
      <NumberInput
        label={`Minutes of ${segment.name}`}
        w={170}
        min={1}
        max={600}
        value={segment.minutes}
        onChange={(value) =>
          typeof value === 'number' &&
          Number.isFinite(value) &&
          value >= 1 &&
          onChange(Math.min(600, Math.round(value)))
        }
      />
      <Button variant="default" onClick={onRemove}>
        Take it out
      </Button>
      <Select
        label="Add after it"
        placeholder="Kind of segment"
        w={190}
        data={kinds.map((k) => ({ value: k.kind, label: k.name }))}
        value={kind}
        onChange={setKind}
      />
      <Button
        variant="default"
        disabled={!kind}
        onClick={() => {
          const chosen = kinds.find((k) => k.kind === kind);
          if (chosen) onAdd(chosen.kind, chosen.minutes);
          setKind(null);
        }}
      >
        Add
      </Button>
      {segment.short_by > 0 && (
        <span className="chip" data-kind="caution">
          <Mark kind="caution" />{' '}
          {segment.kind === 'practice' ? 'Its exercise needs' : 'Turns at the sinks need'} {segment.short_by}{' '}
          min more
        </span>
      )}
    </section>
  );
}
