import { Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { Knife } from '../../shared/drawing';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import styles from './Ask.module.css';
import { ShownDrawing } from './ShownDrawing';

interface Props {
  question: Api['Question'];
  /** Id of the answer that was given. */
  chosen: string | undefined;
  room: boolean;
  waiting: boolean;
  onChoose: (answer: string) => void;
  onNext: () => void;
}

/** One drawing, one question, two to four answers; then the reason, from the rule that decides it. */
export function Asked({ question, chosen, room, waiting, onChoose, onNext }: Props) {
  const choose = (at: number) => {
    const answer = question.answers[at];
    if (answer && chosen === undefined) onChoose(answer.id);
  };
  useHotkeys([
    ...question.answers.map((_, at): [string, () => void] => [String(at + 1), () => choose(at)]),
    ['Enter', () => chosen !== undefined && onNext()],
  ]);
  const done = chosen !== undefined;
  const given = question.answers.find((each) => each.id === chosen);
  const right = question.answers.findIndex((each) => each.right) + 1;
  return (
    <section className={styles.asked} aria-label="Question">
      {question.again && (
        <p className="chip" data-kind="caution">
          <Mark kind="lapsed" size={16} /> Missed before: once more
        </p>
      )}
      <h2>
        <Said>{question.asks}</Said>
      </h2>
      {question.shown && <ShownDrawing shown={question.shown} />}
      {!done && room && <p className="quiet">Hold up fingers. Touch what most hold up.</p>}
      <ol className={styles.answers} data-drawn={question.answers.some((each) => each.silhouette)}>
        {question.answers.map((each, at) => (
          <li key={each.id}>
            <button
              type="button"
              className={styles.answer}
              data-state={done ? (each.right ? 'right' : each.id === chosen ? 'wrong' : 'other') : 'open'}
              aria-pressed={each.id === chosen}
              disabled={done}
              onClick={() => choose(at)}
            >
              <span className={styles.number}>{at + 1}</span>
              {each.silhouette && <Knife silhouette={each.silhouette} scale={0.62} label="" />}
              <span>
                <Said>{each.words}</Said>
              </span>
              {done && each.right && <Mark kind="held" size={20} label />}
              {done && !each.right && each.id === chosen && <Mark kind="caution" size={20} label />}
            </button>
            {done && (
              <p className={styles.reason}>
                <Said>{each.reason}</Said>
              </p>
            )}
          </li>
        ))}
      </ol>
      {done && (
        <div className="spread">
          <p role="status" className={styles.told}>
            {given?.right ? 'Right.' : `It is ${right}. It comes back in a moment.`}
          </p>
          <Button size="md" h={52} onClick={onNext} loading={waiting} rightSection={<kbd>Enter</kbd>}>
            Next
          </Button>
        </div>
      )}
    </section>
  );
}
