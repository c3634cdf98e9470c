import { Tabs } from '@mantine/core';
import type { Api } from '../../api/client';
import { capital, percent, spaced, useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { SizeRule } from '../../shared/rule';
import styles from './Class.module.css';
import { Said } from '../../shared/Said';

const signed = (mm: number) => `${mm > 0 ? '+' : mm < 0 ? '−' : ''}${Math.abs(mm).toFixed(2)}`;

/** What a sample shows: the share with what it proves, the size rule, what goes wrong and the cue. */
export function VerdictView({ verdict }: { verdict: Api['Verdict'] }) {
  const { inside } = verdict;
  const say = verdict.says[0];
  const first = verdict.governing ?? verdict.sides[0]?.dimension;
  const sound = say?.id === 'sound';
  return (
    <div className="tight">
      <p style={{ fontSize: '1.25rem', fontWeight: 700 }}>
        {inside.count} of {inside.of} inside: proves {percent(inside.proves)}
      </p>
      <Tabs key={verdict.sides.map((s) => s.dimension).join()} defaultValue={first} variant="outline">
        {verdict.sides.length > 1 && (
          <Tabs.List>
            {verdict.sides.map((side) => (
              <Tabs.Tab key={side.dimension} value={side.dimension}>
                {capital(side.dimension)} {side.inside.count}/{side.inside.of}
              </Tabs.Tab>
            ))}
          </Tabs.List>
        )}
        {verdict.sides.map((side) => (
          <Tabs.Panel key={side.dimension} value={side.dimension} pt={6}>
            <Side side={side} />
          </Tabs.Panel>
        ))}
      </Tabs>
      <Extra verdict={verdict} />
      {say && (
        <>
          <p className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
            <Mark kind={sound ? 'held' : 'caution'} size={18} label />{' '}
            <span>
              <Said>{say.words}</Said>
            </span>
          </p>
          <p className={styles.cue}>“{say.cue}”</p>
        </>
      )}
      <Causes causes={verdict.causes} />
      {verdict.says.slice(1).map((other) => (
        <p key={other.id} className="quiet">
          Also: <Said>{other.words}</Said>
        </p>
      ))}
    </div>
  );
}

/** Which fault in the chain explains the pieces best; said to be unclear where it is. */
function Causes({ causes }: { causes: Api['Verdict']['causes'] }) {
  const [first] = causes?.likely ?? [];
  if (!causes || !first || (causes.clear && first.cause === 'sound')) return null;
  return (
    <div className="tight" role="group" aria-label="What explains it best">
      <p>{causes.words}</p>
      {causes.not_seen?.map((each) => (
        <p key={each} className="quiet">
          {each}
        </p>
      ))}
      <ul className={styles.causes}>
        {causes.likely.slice(0, 3).map((each) => (
          <li key={each.cause}>
            <span style={{ width: `${Math.max(2, each.share * 100)}%` }} />
            {spaced(each.cause)} <span className="mono">{percent(each.share)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Side({ side }: { side: Api['SideFigures'] }) {
  const [unit] = useUnit();
  return (
    <>
      <SizeRule side={side} unit={unit} />
      <p className="mono" style={{ marginTop: 4 }}>
        bias {signed(side.bias)} · sd {side.sd.toFixed(2)}
        {side.cv !== null && side.cv !== undefined && ` · spread ${percent(side.cv)}`}{' '}
        <span className="quiet">tolerance ±{side.tolerance.toFixed(2)} mm</span>
      </p>
    </>
  );
}

function Extra({ verdict }: { verdict: Api['Verdict'] }) {
  const [unit] = useUnit();
  const parts = [
    verdict.taper && `taper ${signed(verdict.taper.mean)} mm over ${verdict.taper.count} sticks`,
    verdict.off_square !== null &&
      verdict.off_square !== undefined &&
      `off square by ${withUnit(verdict.off_square, unit)}`,
    verdict.cv !== null &&
      verdict.cv !== undefined &&
      (verdict.even ? 'even enough to cook alike' : 'too uneven to cook alike'),
  ].filter(Boolean);
  return parts.length > 0 ? <p>{capital(parts.join(' · '))}</p> : null;
}
