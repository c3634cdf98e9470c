import { useDeferredValue, useMemo } from 'react';
import { ApiProblem } from '../../api/client';
import { useBench, useCatalogue } from '../../api/queries';
import { useUnit } from '../../shared/format';
import { Failed, Loading, Trouble } from '../../shared/State';
import styles from './Bench.module.css';
import { CutsBeside } from './Beside';
import { BlockControls } from './BlockControls';
import { BuyDock } from './BuyDock';
import { Chain } from './Chain';
import { FirstCut } from './FirstCut';
import { cutQuestion, useCutAddress } from './question';
import { targetText } from '../../shared/targetText';
import { Ways } from './Ways';

/** Sticks, dice and slices of a food: deciding which food, size and way to teach, and what to buy. */
export function BlockView({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const [at, change] = useCutAddress();
  const [unit] = useUnit();
  const catalogue = useCatalogue();
  const foods = catalogue.data?.foods;
  const tint = foods?.find((each) => each.id === at.food)?.tint;
  const question = useMemo(() => cutQuestion(at, foods), [at, foods]);
  const found = useBench(courseId, question, catalogue.isSuccess);
  // While a figure is dragged, the section follows first, and what hangs on it when there is time.
  const late = useDeferredValue(found.data);
  const lateWords = useDeferredValue(at);
  const problem = found.error instanceof ApiProblem ? found.error : undefined;
  if (!found.data && !problem)
    return found.isError ? <Failed error={found.error} again={() => void found.refetch()} /> : <Loading />;
  const data = found.data;
  const size = data && targetText(data.target, unit);
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>{data?.title ?? 'The Bench'}</h1>
            <p className="quiet">
              {size ? `${size} ${unit} · ` : ''}a cut seen before it is made: change anything, all figures
              follow
            </p>
          </div>
          {tabs}
        </div>
        <div className={styles.columns}>
          <BlockControls at={at} change={change} question={question} data={data} problem={problem} />
          <div className="stack">
            {problem && <Trouble error={problem} />}
            {at.beside.length > 0 && <CutsBeside courseId={courseId} at={at} onChange={change} />}
            {late && <Chain data={late} tint={tint} step={at.step} onChange={change} />}
            {data && <Ways data={data} tint={tint} />}
            {late?.carried && (
              <FirstCut
                title={late.title}
                carried={late.carried}
                written={JSON.stringify(question.errors)}
                onChange={change}
              />
            )}
          </div>
        </div>
      </main>
      <BuyDock
        data={late}
        food={question.food}
        onward={question.onward ?? 0}
        problem={problem}
        courseId={courseId}
        at={lateWords}
        change={change}
      />
    </>
  );
}
