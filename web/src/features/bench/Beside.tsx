import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import { useBenchBeside, useCatalogue, useOnionsBeside } from '../../api/queries';
import { BesideTable } from '../../shared/beside';
import { Section } from '../../shared/drawing';
import { Trouble } from '../../shared/State';
import { Said } from '../../shared/Said';
import type { Sentence } from '../../shared/sentence';
import { cutQuestion, onionQuestion, readCut, readOnion } from './question';
import type { ChangeCut, ChangeOnion, CutWords, OnionWords } from './question';
import { OnionCells } from './OnionCells';
import { useUnit } from '../../shared/format';
import { sizeText } from '../../shared/targetText';

type Put = (next: { beside: string[] | null }) => void;

interface FrameProps {
  found: { data: { differences: Sentence[]; rows: Api['BesideRow'][] } | undefined; error: unknown };
  /** What stands at the head of each column. */
  heads: { title: string; under: string; drawing: React.ReactNode }[];
  others: string[];
  onChange: Put;
}

/** Several things beside each other: one row a figure, how they differ in the row, the better one marked. */
function Frame({ found: { data, error }, heads, others, onChange }: FrameProps) {
  const putAway = (index: number) => onChange({ beside: others.filter((_, place) => place !== index - 1) });
  return (
    <section className="card stack" aria-label="Side by side">
      <div className="spread">
        <h2>Side by side</h2>
        <Button variant="default" size="sm" onClick={() => onChange({ beside: null })}>
          Put away
        </Button>
      </div>
      <Trouble error={error} />
      <div role="status" className="tight">
        {data?.differences.map((words, index) => (
          <p key={index}>
            <strong>
              <Said>{words}</Said>
            </strong>
          </p>
        ))}
      </div>
      {data && (
        <BesideTable
          rows={data.rows}
          heads={heads.map((head, index) => (
            <>
              {head.drawing}
              <div>{head.title}</div>
              <div className="quiet">{head.under}</div>
              {index > 0 && (
                <Button
                  variant="subtle"
                  size="compact-sm"
                  onClick={() => putAway(index)}
                  aria-label={`Put away ${head.title}, ${head.under}`}
                >
                  Put away
                </Button>
              )}
            </>
          ))}
        />
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
  const heads = found.data?.cuts.map((view, index) => {
    const way: Api['BenchWay'] | undefined = view.ways[view.way ?? 0];
    return {
      title: view.title,
      under: [sizeText(view.target, unit), way?.name.toLowerCase()].filter(Boolean).join(', '),
      drawing: view.outline && way && (
        <Section
          drawing={{ outline: view.outline, pieces: way.pieces_drawn }}
          size={110}
          tint={foods?.find((each) => each.id === cuts[index]?.food)?.tint}
          label={`Section, ${view.title.toLowerCase()}`}
        />
      ),
    };
  });
  return <Frame found={found} heads={heads ?? []} others={at.beside} onChange={put} />;
}

/** Two or three ways of cutting an onion beside each other, the differences said. */
export function OnionsBeside({ at, onChange }: { at: OnionWords; onChange: ChangeOnion }) {
  const put: Put = (next) => void onChange(next);
  const onions = [at, ...at.beside.map((each) => readOnion(each))].map(onionQuestion);
  const found = useOnionsBeside({ onions });
  const heads = found.data?.onions.map((view, index) => ({
    title: view.name,
    under: view.places.length === 1 ? '1 cut' : `${view.places.length} cuts`,
    drawing: <OnionCells view={view} radius={onions[index]?.radius ?? 40} />,
  }));
  return <Frame found={found} heads={heads ?? []} others={at.beside} onChange={put} />;
}
