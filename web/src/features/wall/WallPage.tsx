import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { Suspense, lazy } from 'react';
import { Link, useParams } from 'react-router';
import type { Api } from '../../api/client';
import { useLive } from '../../api/live';
import { useRun, useWall } from '../../api/queries';
import { withUnit, useUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading } from '../../shared/State';
import { sizeText } from '../../shared/targetText';
import { usePixelsPerMillimetre } from '../../shared/trueSize';
import { MinutesLeft } from './MinutesLeft';
import styles from './Wall.module.css';

const Calibrate = lazy(() => import('../../shared/Calibrate'));

/**
 * The quiet view for a screen on the wall, read from six metres by those who cut: how long, what size, which steps,
 * what to mind. Nobody is named.
 */
export default function WallPage() {
  const { courseId, lessonId } = useParams();
  const lesson = Number(lessonId);
  const wall = useWall(lesson);
  const run = useRun(lesson);
  const [asked, ask] = useDisclosure();
  useLive();
  if (!wall.data)
    return wall.isError ? <Failed error={wall.error} again={() => void wall.refetch()} /> : <Loading />;
  const view = wall.data;
  return (
    <main className={styles.wall}>
      <header className={styles.head}>
        <h1>{view.exercise ?? view.lesson}</h1>
        {view.round && (
          <p className={styles.round}>
            Round {view.round} of {view.rounds}
          </p>
        )}
      </header>
      {run.data && <MinutesLeft run={run.data} />}
      <div className={styles.body}>
        <section aria-label="The cut at true size" className={styles.cut}>
          <TrueSize target={view.target} />
          <p className={styles.setup}>{view.setup}</p>
        </section>
        <Steps steps={view.steps} />
        <section aria-label="Mind">
          <h2>Mind</h2>
          <ul className={styles.cautions}>
            {view.cautions.map((caution, at) => (
              <li key={at}>
                <Mark kind="caution" size={28} label />
                <span>
                  <strong>
                    <Said>{caution.title}</Said>
                  </strong>{' '}
                  <Said>{caution.text}</Said>
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <footer className={styles.foot}>
        <span>{view.disclaimer}</span>
        <span className="row">
          <Button size="compact-sm" variant="subtle" onClick={ask.open}>
            True size…
          </Button>
          <Button
            size="compact-sm"
            variant="subtle"
            component={Link}
            to={`/courses/${courseId}/class/${lessonId}`}
          >
            To the class
          </Button>
        </span>
      </footer>
      {asked && (
        <Suspense fallback={null}>
          <Calibrate close={ask.close} />
        </Suspense>
      )}
    </main>
  );
}

function Steps({ steps }: { steps: Api['WallStep'][] }) {
  const [unit] = useUnit();
  if (steps.length === 0) return null;
  return (
    <section aria-label="Steps">
      <h2>Steps</h2>
      <ol className={styles.steps}>
        {steps.map((step) => (
          <li key={step.title}>
            {step.title}
            {step.size != null && <span className="mono"> {withUnit(step.size, unit)}</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}

const nominal = (size: Api['TargetSize']) =>
  size.kind === 'exact' ? size.size : size.kind === 'range' ? (size.from + size.to) / 2 : size.limit;

/** The end of a piece and its side, as large as they are to be. */
function TrueSize({ target }: { target: Api['Target'] }) {
  const { pixels } = usePixelsPerMillimetre();
  const [unit] = useUnit();
  if (!target.thickness) return null;
  const px = (mm: number) => mm * pixels;
  const thickness = px(nominal(target.thickness));
  const sides = [target.width, target.length].flatMap((side) => (side ? [px(nominal(side))] : []));
  const gap = px(6);
  const starts = sides.map((_, at) => 1 + sides.slice(0, at).reduce((sum, side) => sum + side + gap, 0));
  const drawn = sides.length > 0 ? sides : [px(30)];
  const width = 2 + drawn.reduce((sum, side) => sum + side + gap, -gap);
  return (
    <>
      <svg
        width={width}
        height={thickness + 2}
        viewBox={`0 0 ${width} ${thickness + 2}`}
        role="img"
        aria-label={`A piece at true size, ${sizeText(target, unit)}`}
      >
        {drawn.map((side, at) => (
          <rect
            key={at}
            x={starts[at] ?? 1}
            y={1}
            width={side}
            height={thickness}
            fill="var(--food)"
            stroke="var(--ink)"
          />
        ))}
      </svg>
      <p className={styles.size}>{sizeText(target, unit)}</p>
    </>
  );
}
