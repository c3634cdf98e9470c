import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import { Reason } from '../../shared/dock';
import { Knife } from '../../shared/drawing';
import { Loading, Trouble } from '../../shared/State';
import { weighed } from './Fit';
import styles from './Playbook.module.css';
import type { Selection } from './useAnswer';
import { findingsOf, useAnswer } from './useAnswer';

interface Props {
  selection: Selection;
  against: Api['MatrixKnife'];
  close: () => void;
  swap: () => void;
}

/** Two knives for one job: what speaks for each, and where they differ. */
export function Versus({ selection, against, close, swap }: Props) {
  const one = useAnswer(selection, selection.knife);
  const two = useAnswer(selection, against);
  if (selection.food === 'any') return <p>Choose a food to set two knives against each other.</p>;
  const rules = (advice: Api['Advice'] | undefined) =>
    new Map(advice ? findingsOf(advice).map((finding) => [finding.rule, finding]) : []);
  const [a, b] = [rules(one.data), rules(two.data)];
  // What both have in common does not help to choose.
  const apart = (mine: Map<string, Api['Finding']>, theirs: Map<string, Api['Finding']>) =>
    [...mine.values()].filter((finding) => {
      const other = theirs.get(finding.rule);
      return !other || JSON.stringify(other.effect) !== JSON.stringify(finding.effect);
    });
  return (
    <section aria-label="Two knives compared" className="stack">
      <div className="spread">
        <h2>
          {selection.knife.name} or {against.name}
        </h2>
        <div className="row">
          <Button variant="default" onClick={swap}>
            Swap
          </Button>
          <Button variant="default" onClick={close}>
            Close
          </Button>
        </div>
      </div>
      <div className={styles.versus}>
        <Side knife={selection.knife} answer={one} findings={apart(a, b)} />
        <Side knife={against} answer={two} findings={apart(b, a)} />
      </div>
      <p className="quiet">
        Told here is where they differ; {[...a.keys()].filter((rule) => b.has(rule)).length} rules weigh both.
      </p>
    </section>
  );
}

function Side({
  knife,
  answer,
  findings,
}: {
  knife: Api['MatrixKnife'];
  answer: ReturnType<typeof useAnswer>;
  findings: Api['Finding'][];
}) {
  const advice = answer.data;
  const fit = advice?.knives[advice.knife ?? -1]?.fit;
  return (
    <section aria-label={knife.name}>
      <div className="spread">
        <h3>{knife.name}</h3>
        <p className={`figure ${styles.score}`}>{fit?.refused ? 'refused' : (fit?.score ?? '')}</p>
      </div>
      {answer.error ? (
        <Trouble error={answer.error} />
      ) : !advice ? (
        <Loading />
      ) : (
        <>
          {advice.silhouette && advice.setup && (
            <Knife
              silhouette={advice.silhouette}
              scale={0.9}
              third={advice.setup.third}
              label={`${knife.name} compared`}
            />
          )}
          <p className="quiet">{advice.setup?.words}</p>
          {findings.length === 0 && (
            <p style={{ marginTop: 8 }}>Nothing weighs here that does not weigh the same there.</p>
          )}
          <ul style={{ marginTop: 8 }}>
            {weighed(findings).map(({ finding, kind }) => (
              <Reason key={finding.rule} kind={kind} says={finding.words} />
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
