import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useBench, useCatalogue, useCourse } from '../../api/queries';
import { Reason } from '../../shared/dock';
import { Section, fillOf } from '../../shared/drawing';
import { useUnit, withUnit } from '../../shared/format';
import type { Unit } from '../../shared/format';
import { Failed, Loading } from '../../shared/State';
import styles from './Bench.module.css';
import { cutQuestion, useCutAddress, writeCut } from './question';
import { sizeText } from '../../shared/targetText';

/** A card for a student's station: the piece at true size, the steps, the cautions. */
export function StudentCard({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const [at] = useCutAddress();
  const [unit] = useUnit();
  const catalogue = useCatalogue();
  const course = useCourse(courseId);
  const question = cutQuestion(at, catalogue.data?.foods);
  const found = useBench(courseId, question, catalogue.isSuccess);
  if (!found.data)
    return found.isError ? <Failed error={found.error} again={() => void found.refetch()} /> : <Loading />;
  const data = found.data;
  const way = data.ways[data.way ?? 0];
  const knife = data.blade ? data.knives[data.blade.index] : undefined;
  const named = catalogue.data?.foods.find((each) => each.id === question.food);
  return (
    <main className={styles.work}>
      <div className={`spread ${styles.screenOnly}`}>
        <div className="row">
          <Button onClick={() => window.print()}>Print</Button>
          <Button variant="default" component={Link} to={`/courses/${courseId}/bench${writeCut(at)}`}>
            Back to the Bench
          </Button>
        </div>
        {tabs}
      </div>
      <article className={styles.paper} aria-label="Student card">
        <div className="spread">
          <div>
            <h1>{data.title}</h1>
            <p className="figure">{sizeText(data.target, unit)}</p>
          </div>
          <p className="quiet">{course.data?.course.name}</p>
        </div>
        <div className={styles.cardTop}>
          <TrueSize piece={data.largest} tint={named?.tint} />
          {data.outline && way && (
            <figure>
              <Section
                drawing={{ outline: data.outline, pieces: way.pieces_drawn }}
                size={170}
                tint={named?.tint}
                label={`Section of ${data.title.toLowerCase()}`}
              />
              <figcaption>
                {way.name}.{way.pieces_drawn.length > 0 && ' Hatched is trimmed off.'}
              </figcaption>
            </figure>
          )}
          <dl className={styles.cardFigures}>
            {way && (
              <>
                <dt>You cut</dt>
                <dd className="figure">{data.pieces_each} pieces</dd>
                <dt>from</dt>
                <dd>
                  <span className="figure">{way.units_each}</span>{' '}
                  {way.units_each === 1 ? named?.unit : named?.plural}
                </dd>
              </>
            )}
            {knife && (
              <>
                <dt>with</dt>
                <dd>{knife.name}</dd>
              </>
            )}
          </dl>
        </div>
        <Steps steps={data.steps} unit={unit} />
        <ul className="tight">
          {data.cautions
            .filter((caution) => caution.severity !== 'note')
            .map((caution) => (
              <Reason key={caution.id} kind={caution.severity} title={caution.title} says={caution.text} />
            ))}
        </ul>
        {catalogue.data && (
          <p className="quiet">
            {catalogue.data.disclaimer} {catalogue.data.first_aid}
          </p>
        )}
      </article>
    </main>
  );
}

function Steps({ steps, unit }: { steps: Api['BenchStep'][]; unit: Unit }) {
  return (
    <ol className={styles.cardSteps}>
      {steps.map((step) => (
        <li key={step.title}>
          <strong>{step.title}.</strong> {step.detail}
          {step.count ? ` ${step.count}` : ''}
          {step.count && step.size ? ` of ${withUnit(step.size, unit)}` : ''}
          {step.how && <span className="quiet"> {step.how}</span>}
        </li>
      ))}
    </ol>
  );
}

/** The piece seen from above and from its end, in true millimetres, with a bar to check the paper by. */
function TrueSize({ piece, tint }: { piece: Api['PieceSides']; tint: Api['Tint'] | undefined }) {
  const [unit] = useUnit();
  const { thickness: thick, width: wide, length: long } = piece;
  if (!thick && !long) return null;
  const end: [number, number] = [wide ?? thick ?? 10, thick ?? 10];
  const top: [number, number] = [long ?? wide ?? 40, wide ?? thick ?? 10];
  const width = Math.max(top[0] + 4 + end[0], 70) + 2;
  const height = Math.max(top[1], end[1]) + 14;
  return (
    <figure>
      <svg
        width={`${width}mm`}
        height={`${height}mm`}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label="One piece at true size, from above and from its end"
      >
        <g fill={fillOf(tint)} stroke="var(--ink)" strokeWidth={0.25}>
          <rect x={1} y={1} width={top[0]} height={top[1]} />
          <rect x={top[0] + 5} y={1} width={end[0]} height={end[1]} />
        </g>
        <g transform={`translate(1 ${Math.max(top[1], end[1]) + 4})`} stroke="var(--ink)" strokeWidth={0.25}>
          <path
            d={`M0 0H50${Array.from({ length: 11 }, (_, k) => `M${k * 5} 0V${k % 2 ? 1.4 : 2.4}`).join('')}`}
          />
        </g>
        <text x={1} y={Math.max(top[1], end[1]) + 10.5} fontSize={3.4} fill="var(--ink)">
          50 mm on paper: measure this bar once
        </text>
      </svg>
      <figcaption>
        True size: {withUnit(top[0], unit)} long{long === undefined ? ' as drawn' : ''}, end beside it.
      </figcaption>
    </figure>
  );
}
