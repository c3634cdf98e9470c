import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { Suspense, lazy } from 'react';
import type { Api } from '../../api/client';
import { FaultFigure, Knife } from '../../shared/drawing';
import { useUnit, withUnit } from '../../shared/format';
import { usePixelsPerMillimetre } from '../../shared/trueSize';
import styles from './Ask.module.css';

const Calibrate = lazy(() => import('../../shared/Calibrate'));

/** The drawing of a question. What it shows is asked for, so that no label says it. */
export function ShownDrawing({ shown }: { shown: Api['Shown'] }) {
  if (shown.kind === 'outline')
    return (
      <div className={styles.shown}>
        <Knife silhouette={shown.silhouette} scale={1.3} label="The outline of a knife" />
      </div>
    );
  if (shown.kind === 'fault')
    return (
      <div className={styles.shown}>
        <FaultFigure picture={shown.picture} width={340} label="A drawing of something that goes wrong" />
      </div>
    );
  return <Piece {...shown} />;
}

/** A piece at true size, beside a bar of known length: so it can be told on a screen that nobody measured, too. */
function Piece({ thickness, length, bar }: { thickness: number; length: number; bar: number }) {
  const { pixels, measured } = usePixelsPerMillimetre();
  const [asked, ask] = useDisclosure();
  const [unit] = useUnit();
  const px = (mm: number) => mm * pixels;
  const [width, height] = [px(Math.max(length, bar)) + 2, px(thickness) + 34];
  return (
    <div className={styles.shown}>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`A piece at true size, beside a bar of ${withUnit(bar, unit)}`}
      >
        <rect
          x={1}
          y={1}
          width={px(length)}
          height={px(thickness)}
          fill="var(--carrot)"
          stroke="var(--ink)"
          strokeWidth={1}
        />
        <path
          d={`M1 ${px(thickness) + 16}h${px(bar)}m0 -5v10m${-px(bar)} 0v-10`}
          stroke="var(--ink)"
          strokeWidth={2}
          fill="none"
        />
      </svg>
      <p className="quiet">
        The bar is {withUnit(bar, unit)}.{' '}
        {!measured && (
          <Button size="compact-sm" variant="subtle" onClick={ask.open}>
            Draw at true size…
          </Button>
        )}
      </p>
      {asked && (
        <Suspense fallback={null}>
          <Calibrate close={ask.close} />
        </Suspense>
      )}
    </div>
  );
}
