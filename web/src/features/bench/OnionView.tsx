import { Button, Checkbox, NumberInput, SegmentedControl } from '@mantine/core';
import { useDebouncedValue, useMediaQuery } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useCatalogue, useOnion, useOnionChoice } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { capital, percent, useUnit } from '../../shared/format';
import { SizeRule } from '../../shared/rule';
import { Failed, Loading, Trouble } from '../../shared/State';
import styles from './Bench.module.css';
import { Figure } from './BlockView';
import { Slider } from './Slider';
import { useAddress } from './useAddress';

type Kind = Api['Method']['kind'];

const METHODS: { value: Kind; label: string }[] = [
  { value: 'verticals', label: 'Verticals' },
  { value: 'below', label: 'Radial, below the board' },
  { value: 'centre', label: 'Radial, to the centre' },
  { value: 'turned', label: 'Last third turned' },
  { value: 'half_rings', label: 'Half-rings turned' },
  { value: 'level', label: 'With level cuts' },
];

const FILLS: Record<Api['Grade'], string> = {
  crumb: 'var(--stop-tint)',
  small: 'var(--paper)',
  wanted: 'var(--held-tint)',
  large: 'var(--caution-tint)',
  ribbon: 'url(#ribbon)',
};

function methodOf(kind: string, depth: number, level: number): Api['Method'] {
  if (kind === 'below') return { kind: 'below', depth };
  if (kind === 'level') return { kind: 'level', level };
  if (kind === 'centre' || kind === 'turned' || kind === 'half_rings') return { kind };
  return { kind: 'verticals' };
}

/** An onion in section, every cell weighed against the dice that is wanted. */
export function OnionView({ tabs }: { courseId: number; tabs: React.ReactNode }) {
  const at = useAddress();
  const [unit] = useUnit();
  const narrow = useMediaQuery('(max-width: 860px)');
  const catalogue = useCatalogue();
  const kind = at.word('method', 'verticals');
  const radius = at.number('across', 80) / 2;
  const layers = Math.max(0, Math.min(255, Math.round(at.number('layers', 8))));
  const size = at.number('size', 6.4);
  const question: Api['OnionQuestion'] = {
    radius,
    layers,
    cuts: Math.max(0, Math.min(255, Math.round(at.number('cuts', 9)))),
    method: methodOf(
      kind,
      at.number('depth', 0.5),
      Math.max(0, Math.min(255, Math.round(at.number('level', 1)))),
    ),
    size,
  };
  const found = useOnion(question);
  const problem = found.error instanceof ApiProblem ? found.error : undefined;
  const most = at.optional('strokes');
  const asked: Api['ChooseForMe'] = {
    wanted: { radius, layers, size },
    limits: { strokes: most, no_level_cut: at.word('level_cut', '') !== 'yes' },
  };
  const [choosing] = useDebouncedValue(asked, 250);
  const choice = useOnionChoice(choosing);
  if (!found.data && !problem)
    return found.isError ? <Failed error={found.error} again={() => void found.refetch()} /> : <Loading />;
  const data = found.data;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Dice of an onion</h1>
            <p className="quiet">
              Half an onion on its flat, seen from the root; every cell against {size} mm
            </p>
          </div>
          {tabs}
        </div>
        <SegmentedControl
          aria-label="Method"
          orientation={narrow ? 'vertical' : 'horizontal'}
          value={kind}
          onChange={(value) => at.change({ method: value })}
          data={METHODS}
          style={{ alignSelf: 'flex-start', flex: 'none' }}
        />
        <div className={styles.columns}>
          <div className="card stack">
            <Slider
              label="Cuts"
              value={question.cuts}
              min={1}
              max={30}
              step={1}
              shown={String(question.cuts)}
              onChange={(value) => at.change({ cuts: value })}
            />
            {kind === 'below' && (
              <Slider
                label="Aim below the board"
                value={at.number('depth', 0.5)}
                min={0.05}
                max={2}
                step={0.05}
                shown={`${at.number('depth', 0.5).toFixed(2)} radii`}
                onChange={(value) => at.change({ depth: value })}
              />
            )}
            {kind === 'level' && (
              <Slider
                label="Level cuts"
                value={at.number('level', 1)}
                min={1}
                max={4}
                step={1}
                shown={String(at.number('level', 1))}
                onChange={(value) => at.change({ level: value })}
              />
            )}
            <Slider
              label="Wanted dice"
              value={size}
              min={2}
              max={20}
              step={0.1}
              shown={`${size} mm`}
              onChange={(value) => at.change({ size: value })}
            />
            <NumberInput
              label="Onion across, mm"
              value={at.number('across', 80)}
              onChange={(value) => at.change({ across: value })}
              error={problem?.at('/radius')}
            />
            <NumberInput
              label="Layers"
              value={layers}
              onChange={(value) => at.change({ layers: value })}
              error={problem?.at('/layers')}
            />
          </div>
          <div className="stack">
            <Trouble error={problem ?? null} />
            {data && <Cut data={data} radius={radius} />}
            {data?.edges && (
              <div>
                <h3>Edges of the cells on the rule; the band is ±25 % of the wanted size</h3>
                <SizeRule side={data.edges} unit={unit} />
              </div>
            )}
          </div>
        </div>
        <section className="card stack" aria-label="Choose for me">
          <div className="spread">
            <h2>Choose for me</h2>
            <div className="row">
              <NumberInput
                aria-label="Most strokes for a half"
                placeholder="any strokes"
                w={150}
                min={1}
                suffix=" strokes"
                value={most ?? ''}
                onChange={(value) => at.change({ strokes: value })}
              />
              <Checkbox
                label="Level cuts allowed"
                checked={at.word('level_cut', '') === 'yes'}
                onChange={(event) => at.change({ level_cut: event.currentTarget.checked ? 'yes' : null })}
              />
            </div>
          </div>
          <Trouble error={choice.error} />
          {choice.data && (
            <Ranked
              choice={choice.data}
              onTake={(each) =>
                at.change({
                  method: each.method.kind,
                  cuts: each.cuts,
                  depth: each.method.kind === 'below' ? each.method.depth : null,
                  level: each.method.kind === 'level' ? each.method.level : null,
                })
              }
            />
          )}
        </section>
      </main>
      <Dock label="What it comes to">
        <h2>{data?.name ?? 'Onion'}</h2>
        {data && (
          <ul>
            {data.strokes_towards_hand > 0 && (
              <Reason kind="caution" title="Towards the hand:">
                {data.strokes_towards_hand} of {data.strokes} strokes.
              </Reason>
            )}
            {data.cautions.map((words) => (
              <Reason key={words} kind="caution">
                {words}
              </Reason>
            ))}
            <Reason kind="note" title="The half ball:">
              {data.ball.figures.count} pieces, {percent(data.ball.figures.share_even)} of it within a quarter
              of the mean, {percent(data.ball.figures.share_crumbs)} crumbs.
            </Reason>
            <Reason kind="note" title="Ribbons">
              are pieces longer than twice the wanted edge: an even area can hide them.
            </Reason>
          </ul>
        )}
        {catalogue.data && <Disclaimer>{catalogue.data.disclaimer}</Disclaimer>}
      </Dock>
    </>
  );
}

function Cut({ data, radius }: { data: Api['OnionView']; radius: number }) {
  const { section, grades } = data;
  const line = radius / 120;
  return (
    <div className="card stack">
      <svg
        viewBox={`${-radius * 1.04} ${-radius * 1.04} ${radius * 2.08} ${radius * 1.12}`}
        width="100%"
        style={{ maxHeight: 320 }}
        role="img"
        aria-label={`${data.name}: ${section.figures.count} cells`}
      >
        <pattern
          id="ribbon"
          width={radius / 16}
          height={radius / 16}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={radius / 16} height={radius / 16} fill="var(--caution-tint)" />
          <line y2={radius / 16} stroke="var(--caution)" strokeWidth={radius / 60} />
        </pattern>
        {section.cells.map((cell, index) => (
          <path
            key={`${cell.layer} ${cell.column}`}
            d={cell.path}
            fillRule="evenodd"
            fill={FILLS[grades[index] ?? 'small']}
            stroke="var(--ink)"
            strokeWidth={line}
            strokeLinejoin="round"
          />
        ))}
        {section.cuts.map((path) => (
          <path key={path} d={path} stroke="var(--accent)" strokeWidth={line * 1.6} />
        ))}
        <rect x={-radius * 1.04} y={0} width={radius * 2.08} height={radius * 0.06} fill="var(--beech)" />
      </svg>
      <p className={styles.legend}>
        {(Object.keys(FILLS) as Api['Grade'][]).map((grade) => (
          <span key={grade}>
            <svg width="18" height="14" aria-hidden>
              <pattern
                id={`legend-${grade}`}
                width="5"
                height="5"
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"
              >
                <rect width="5" height="5" fill="var(--caution-tint)" />
                <line y2="5" stroke="var(--caution)" strokeWidth="1.6" />
              </pattern>
              <rect
                x="0.5"
                y="0.5"
                width="17"
                height="13"
                fill={grade === 'ribbon' ? `url(#legend-${grade})` : FILLS[grade]}
                stroke="var(--ink)"
              />
            </svg>
            {grade} {grades.filter((each) => each === grade).length}
          </span>
        ))}
      </p>
      <dl className={styles.figures}>
        <Figure name="of the wanted size" value={percent(data.wanted)} />
        <Figure name="ribbons" value={percent(data.ribbons)} />
        <Figure name="cells" value={String(section.figures.count)} />
        <Figure name="spread (CV)" value={percent(section.figures.cv)} />
        <Figure name="strokes, a half" value={String(data.strokes)} />
        <Figure name="towards the hand" value={String(data.strokes_towards_hand)} />
      </dl>
    </div>
  );
}

function Ranked({ choice, onTake }: { choice: Api['Choice']; onTake: (each: Api['Found']) => void }) {
  const most = Math.max(1, ...choice.trade.map((point) => point.strokes));
  const least = Math.min(most, ...choice.trade.map((point) => point.strokes));
  const x = (strokes: number) => 30 + ((strokes - least) / Math.max(1, most - least)) * 300;
  const y = (share: number) => 104 - share * 92;
  return (
    <>
      <p role="status">
        <strong>{choice.words}</strong>
      </p>
      {choice.found.length > 0 && (
        <div style={{ overflowX: 'auto', position: 'relative' }}>
          <table className={styles.table} aria-label="Ways compared">
            <thead>
              <tr>
                <th scope="col">Way</th>
                <th scope="col">Cuts</th>
                <th scope="col">Wanted</th>
                <th scope="col">Ribbons</th>
                <th scope="col">Strokes</th>
                <th scope="col">Aim, radii</th>
                <th scope="col">
                  <span className="visually-hidden">Look at it</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {choice.found.map((each) => (
                <tr key={each.method.kind}>
                  <th scope="row">
                    {capital(
                      METHODS.find((method) => method.value === each.method.kind)?.label ?? each.method.kind,
                    )}
                  </th>
                  <td className="mono">{each.cuts}</td>
                  <td className="mono">{percent(each.wanted)}</td>
                  <td className="mono">{percent(each.ribbons)}</td>
                  <td className="mono">{each.strokes}</td>
                  <td className="mono">{each.depths ? each.depths.join('–') : ''}</td>
                  <td>
                    <Button
                      size="xs"
                      variant="default"
                      onClick={() => onTake(each)}
                      aria-label={`Look at ${each.method.kind}`}
                    >
                      Look
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {choice.trade.length > 1 && (
        <svg
          viewBox="0 0 350 130"
          width="100%"
          style={{ maxWidth: 520 }}
          role="img"
          aria-label="Share of the wanted size by strokes"
        >
          <path d="M30 8V104H338" fill="none" stroke="var(--ink-2)" />
          <path
            d={choice.trade.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.strokes)} ${y(p.wanted)}`).join('')}
            fill="none"
            stroke="var(--accent)"
            strokeWidth="2"
          />
          {choice.trade.map((p) => (
            <circle key={p.strokes} cx={x(p.strokes)} cy={y(p.wanted)} r="3" fill="var(--accent)" />
          ))}
          <text x="30" y="122" fontSize="11" fill="var(--ink-2)">
            {least} strokes
          </text>
          <text x="338" y="122" fontSize="11" textAnchor="end" fill="var(--ink-2)">
            {most} strokes
          </text>
          <text x="26" y="14" fontSize="11" textAnchor="end" fill="var(--ink-2)">
            all
          </text>
          <text x="26" y="107" fontSize="11" textAnchor="end" fill="var(--ink-2)">
            0
          </text>
        </svg>
      )}
    </>
  );
}
