import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import { useBenchBeside, useCatalogue, useOnionsBeside } from '../../api/queries';
import { Section } from '../../shared/drawing';
import { percent } from '../../shared/format';
import { Trouble } from '../../shared/State';
import { Said } from '../../shared/Said';
import type { Sentence } from '../../shared/sentence';
import styles from './Bench.module.css';
import { cutQuestion, onionQuestion, readCut, readOnion } from './question';
import type { ChangeCut, ChangeOnion, CutWords, OnionWords } from './question';
import { OnionCells } from './OnionCells';
import { Figure, WayFigures } from './Ways';
import { useUnit } from '../../shared/format';
import { sizeText } from '../../shared/targetText';

type Put = (next: { beside: string[] | null }) => void;

interface FrameProps {
  title: string;
  differences: Sentence[] | undefined;
  error: unknown;
  onChange: Put;
  children: React.ReactNode;
}

function Frame({ title, differences, error, onChange, children }: FrameProps) {
  return (
    <section className="card stack" aria-label={title}>
      <div className="spread">
        <h2>{title}</h2>
        <Button variant="default" size="sm" onClick={() => onChange({ beside: null })}>
          Put away
        </Button>
      </div>
      <Trouble error={error} />
      <div role="status" className="tight">
        {differences?.map((words, index) => (
          <p key={index}>
            <strong>
              <Said>{words}</Said>
            </strong>
          </p>
        ))}
      </div>
      <div className={styles.beside}>{children}</div>
    </section>
  );
}

interface ColumnProps {
  index: number;
  others: string[];
  onChange: Put;
  title: string;
  under: string;
  children: React.ReactNode;
}

function Column({ index, others, onChange, title, under, children }: ColumnProps) {
  return (
    <section className="tight" aria-label={`${index + 1}: ${title}`}>
      <h3>{title}</h3>
      <p className="quiet">{under}</p>
      {children}
      {index > 0 && (
        <Button
          variant="subtle"
          size="compact-sm"
          onClick={() => onChange({ beside: others.filter((_, place) => place !== index - 1) })}
          aria-label={`Put away ${title}, ${under}`}
        >
          Put away
        </Button>
      )}
    </section>
  );
}

interface CutsProps {
  courseId: number;
  /** The words that are being changed: they stand first, what was kept beside them. */
  at: CutWords;
  onChange: ChangeCut;
}

/** Two or three cuts beside each other, the differences said. */
export function CutsBeside({ courseId, at, onChange }: CutsProps) {
  const [unit] = useUnit();
  const foods = useCatalogue().data?.foods;
  const put: Put = (next) => void onChange(next);
  const cuts = [at, ...at.beside.map((each) => readCut(each))].map((each) => cutQuestion(each, foods));
  const found = useBenchBeside(courseId, { cuts }, foods !== undefined);
  return (
    <Frame title="Side by side" differences={found.data?.differences} error={found.error} onChange={put}>
      {found.data?.cuts.map((view, index) => {
        const way: Api['BenchWay'] | undefined = view.ways[view.way ?? 0];
        return (
          <Column
            key={index}
            index={index}
            others={at.beside}
            onChange={put}
            title={view.title}
            under={[sizeText(view.target, unit), way?.name.toLowerCase()].filter(Boolean).join(', ')}
          >
            {view.outline && way && (
              <Section
                drawing={{ outline: view.outline, pieces: way.pieces_drawn }}
                size={130}
                tint={foods?.find((each) => each.id === cuts[index]?.food)?.tint}
                label={`Section, ${view.title.toLowerCase()}`}
              />
            )}
            {way && <WayFigures way={way} />}
          </Column>
        );
      })}
    </Frame>
  );
}

/** Two or three ways of cutting an onion beside each other, the differences said. */
export function OnionsBeside({ at, onChange }: { at: OnionWords; onChange: ChangeOnion }) {
  const put: Put = (next) => void onChange(next);
  const onions = [at, ...at.beside.map((each) => readOnion(each))].map(onionQuestion);
  const found = useOnionsBeside({ onions });
  return (
    <Frame title="Side by side" differences={found.data?.differences} error={found.error} onChange={put}>
      {found.data?.onions.map((view, index) => (
        <Column
          key={index}
          index={index}
          others={at.beside}
          onChange={put}
          title={view.name}
          under={`${view.places.length} cuts`}
        >
          <OnionCells view={view} radius={onions[index]?.radius ?? 40} />
          <dl className={styles.figures}>
            <Figure name="of the wanted size" value={percent(view.wanted)} />
            <Figure name="ribbons" value={percent(view.ribbons)} />
            <Figure name="strokes" value={String(view.strokes)} />
          </dl>
        </Column>
      ))}
    </Frame>
  );
}
