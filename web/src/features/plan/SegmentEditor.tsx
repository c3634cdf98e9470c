import { Button, Checkbox, NumberInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import { Mark } from '../../shared/mark';

interface Props {
  segment: Api['SegmentOnRule'];
  onChange: (next: Partial<Api['StoredSegment']>) => void;
  onMove: (by: number) => void;
  onRemove: () => void;
  onAdd: (kind: Api['SegmentKind'], minutes: number) => void;
}

/** The selected segment: its minutes, name and place, taking it out, and adding one after it. */
export function SegmentEditor({ segment, onChange, onMove, onRemove, onAdd }: Props) {
  return (
    <section className="card stack" aria-label={`Segment ${segment.name}`}>
      <div className="row" style={{ alignItems: 'flex-end' }}>
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
            onChange({ minutes: Math.min(600, Math.round(value)) })
          }
        />
        {segment.kind !== 'practice' && (
          <TextInput
            label="Called"
            w={200}
            maxLength={40}
            placeholder={segment.name}
            defaultValue={segment.own_name ?? ''}
            onBlur={(event) => onChange({ own_name: event.currentTarget.value.trim() || null })}
          />
        )}
        <Button variant="default" onClick={() => onMove(-1)}>
          Earlier
        </Button>
        <Button variant="default" onClick={() => onMove(1)}>
          Later
        </Button>
        <Button variant="default" onClick={onRemove}>
          Take it out
        </Button>
        <AddAfter onAdd={onAdd} />
      </div>
      <Checkbox
        label="Keeps its minutes when the lesson runs over"
        checked={segment.fixed ?? false}
        onChange={(event) => onChange({ fixed: event.currentTarget.checked })}
      />
      <Needs segment={segment} onChange={onChange} />
    </section>
  );
}

/** What the minutes of a segment are reckoned from, and how far it is from them. */
function Needs({ segment, onChange }: Pick<Props, 'segment' | 'onChange'>) {
  const { needs, short_by: short } = segment;
  if (!needs) return segment.basis ? <p className="quiet">{segment.basis}</p> : null;
  return (
    <div className="row">
      {short > 0 ? (
        <span className="chip" data-kind="caution">
          <Mark kind="caution" />{' '}
          {segment.kind === 'practice' ? 'Its exercise needs' : 'Turns at the sinks need'} {short} min more
        </span>
      ) : (
        <span>
          Needs {needs} of its {segment.minutes} min.
        </span>
      )}
      {segment.basis && <span className="quiet">{segment.basis}</span>}
      {short > 0 && (
        <Button variant="default" size="xs" onClick={() => onChange({ minutes: needs })}>
          Give it {needs} min
        </Button>
      )}
    </div>
  );
}

function AddAfter({ onAdd }: Pick<Props, 'onAdd'>) {
  const catalogue = useCatalogue();
  const kinds = catalogue.data?.segments ?? [];
  const [kind, setKind] = useState<string | null>(null);
  return (
    <>
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
    </>
  );
}
