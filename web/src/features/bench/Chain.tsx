import { Button, SegmentedControl, Select } from '@mantine/core';
import { memo } from 'react';
import type { Api } from '../../api/client';
import { Mark } from '../../shared/mark';
import { useUnit, withUnit } from '../../shared/format';
import { Reason } from '../../shared/dock';
import { Said } from '../../shared/Said';
import styles from './Bench.module.css';
import type { ChangeCut } from './question';
import { Turnable } from './Turnable';

interface Props {
  data: Api['BenchView'];
  tint: Api['Tint'] | undefined;
  step: number;
  onChange: ChangeCut;
}

/** The chain step by step: the food in space, and what the hands do. */
export const Chain = memo(function Chain({ data, tint, step, onChange }: Props) {
  const way = data.way === null || data.way === undefined ? undefined : data.ways[data.way];
  const at = Math.max(0, Math.min(data.steps.length - 1, step));
  const current = data.steps[at];
  const knife = data.blade ? data.knives[data.blade.index] : undefined;
  if (!data.solid) return null;
  return (
    <section className="card stack" aria-label="The chain, step by step">
      <div className="spread">
        <h2>Step by step</h2>
        <div className="row">
          {data.ways.length > 1 && (
            <SegmentedControl
              aria-label="Way of working"
              value={way?.way}
              onChange={(next) => onChange({ way: next as Api['Way'] })}
              data={[
                { value: 'squared', label: 'Squared' },
                { value: 'flat_first', label: 'Flat first' },
              ]}
            />
          )}
          <Select
            aria-label="Knife"
            searchable
            allowDeselect={false}
            w={180}
            value={knife ? `${knife.knife_type}/${knife.length}` : null}
            onChange={(value) => onChange({ knife: value })}
            data={[...new Map(data.knives.map((k) => [`${k.knife_type}/${k.length}`, k])).entries()].map(
              ([value, k]) => ({ value, label: k.refused ? `${k.name}, refused` : k.name }),
            )}
          />
        </div>
      </div>
      {knife?.refused && (
        <p className="row" role="status">
          <Mark kind="stop" label /> <Said>{knife.refused}</Said>
        </p>
      )}
      <Turnable
        solid={data.solid}
        blocks={way?.blocks ?? []}
        shows={current?.shows ?? (way?.blocks.length ? 'pieces' : 'whole')}
        blade={data.blade}
        bladeName={knife?.name}
        tint={tint}
        label={`${data.title} in space${current ? `: ${current.title.toLowerCase()}` : ''}`}
      />
      {current && (
        <>
          <ol className={styles.steps} aria-label="The chain">
            {data.steps.map((each, index) => (
              <li key={each.title}>
                <button
                  type="button"
                  aria-current={index === at ? 'step' : undefined}
                  onClick={() => onChange({ step: index })}
                >
                  {each.title}
                </button>
              </li>
            ))}
          </ol>
          <Step step={current} />
          <div className="row">
            <Button
              variant="default"
              size="sm"
              disabled={at === 0}
              onClick={() => onChange({ step: at - 1 })}
            >
              Step back
            </Button>
            <Button
              size="sm"
              disabled={at >= data.steps.length - 1}
              onClick={() => onChange({ step: at + 1 })}
            >
              Next step
            </Button>
          </div>
        </>
      )}
    </section>
  );
});

/** What the hands do in a step, what comes of it, and what to mind. */
function Step({ step }: { step: Api['BenchStep'] }) {
  const [unit] = useUnit();
  return (
    <div className={styles.step} role="status">
      <p>
        <strong>{step.title}.</strong> {step.detail}
        {step.count ? (
          <>
            {' '}
            <strong className="figure">{step.count}</strong>
            {step.size ? ` of ${withUnit(step.size, unit)}` : ''}
          </>
        ) : null}
      </p>
      {step.how && <p className="quiet">{step.how}</p>}
      <ul>
        {step.cautions.map((caution) => (
          <Reason key={caution.id} kind={caution.severity} title={caution.title} says={caution.text} />
        ))}
      </ul>
    </div>
  );
}
