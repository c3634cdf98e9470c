import { Button, Select } from '@mantine/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import { useCatalogue, useCourse } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { GripFigure, HoldFigure, Knife } from '../../shared/drawing';
import { capital, day } from '../../shared/format';
import { Loading, Trouble } from '../../shared/State';
import { useSaid } from '../../shared/Said';
import { weighed } from './Fit';
import { keyOf } from './keyOf';
import styles from './Playbook.module.css';
import type { Selection } from './useAnswer';
import { findingsOf, useAnswer } from './useAnswer';

interface Props {
  selection: Selection;
  knives: Api['MatrixKnife'][];
  against: string | null;
  onAgainst: (key: string | null) => void;
}

/** The whole answer for the chosen cell. */
export function CellDock({ selection, knives, against, onAgainst }: Props) {
  const { cut, knife, cell, food } = selection;
  const answer = useAnswer(selection, knife);
  const catalogue = useCatalogue();
  const said = useSaid();
  const advice = answer.data;
  const title = advice?.title ?? capital(cut.name);
  return (
    <Dock label="The whole answer">
      <div className="spread">
        <div>
          <h2>{title}</h2>
          <p className="quiet">{knife.name}</p>
        </div>
        {cell && (
          <p className={`figure ${styles.score}`} aria-label="Fit">
            {cell.refused ? '–' : cell.score}
          </p>
        )}
      </div>
      {food === 'any' ? (
        <p>{said(cell?.words)} Choose a food to see the setup with its reasons.</p>
      ) : answer.error ? (
        <Trouble error={answer.error} />
      ) : advice ? (
        <Setup advice={advice} cell={cell} left={selection.left} />
      ) : (
        <Loading />
      )}
      {food !== 'any' && <AddTo selection={selection} refused={cell?.refused ?? true} />}
      <Select
        label="Set against another knife"
        placeholder="Choose a knife"
        clearable
        searchable
        value={against}
        onChange={onAgainst}
        data={knives
          .filter((each) => keyOf(each) !== keyOf(knife))
          .map((each) => ({
            value: keyOf(each),
            label: each.sharp ? each.name : `${each.name}, no. ${each.numbers.join()}`,
          }))}
      />
      {advice && advice.cautions.length > 0 && (
        <section>
          <h3 style={{ marginBottom: 8 }}>Cautions</h3>
          <ul>
            {advice.cautions.map((caution) => (
              <Reason key={caution.id} kind={caution.severity} title={caution.title} says={caution.text} />
            ))}
          </ul>
        </section>
      )}
      {advice && (
        <section>
          <h3 style={{ marginBottom: 8 }}>Reasons</h3>
          <ul>
            {weighed(findingsOf(advice)).map(({ finding, kind }) => (
              <Reason
                key={finding.rule}
                kind={kind}
                title={kind === 'stop' ? 'Refused.' : undefined}
                says={finding.words}
              />
            ))}
          </ul>
        </section>
      )}
      {catalogue.data && <Disclaimer>{catalogue.data.disclaimer}</Disclaimer>}
    </Dock>
  );
}

function Setup({
  advice,
  cell,
  left,
}: {
  advice: Api['Advice'];
  cell: Api['MatrixCell'] | undefined;
  left: boolean;
}) {
  const catalogue = useCatalogue();
  const { setup, silhouette } = advice;
  if (!setup) return null;
  const how = <T,>(all: { value: T; how: string; name: string }[] | undefined, value: T) =>
    all?.find((each) => each.value === value);
  const grip = how(catalogue.data?.grips, setup.grip);
  const hold = how(catalogue.data?.holds, setup.hold);
  const motion = how(catalogue.data?.motions, setup.motion);
  const third = catalogue.data?.thirds.find((each) => each.value === setup.third);
  return (
    <>
      {silhouette && (
        <Knife
          silhouette={silhouette}
          scale={0.8}
          third={setup.third}
          mirrored={left}
          label={`${setup.knife_name} in the dock`}
        />
      )}
      {!cell?.refused && (
        <>
          <div className={styles.hands}>
            <figure>
              <GripFigure grip={setup.grip} label={`Grip: ${grip?.name ?? ''}`} mirrored={left} />
              <figcaption>
                <strong>{capital(grip?.name ?? '')}.</strong> {grip?.how}
              </figcaption>
            </figure>
            <figure>
              <HoldFigure hold={setup.hold} label={`Hold: ${hold?.name ?? ''}`} mirrored={left} />
              <figcaption>
                <strong>{capital(hold?.name ?? '')}.</strong> {hold?.how}
              </figcaption>
            </figure>
          </div>
          <p>
            <strong>
              {capital(motion?.name ?? '')}, {third?.name}.
            </strong>{' '}
            {motion?.how}
          </p>
        </>
      )}
    </>
  );
}

/** To the lesson: the exercise opens in Plan with this knife. */
function AddTo({ selection, refused }: { selection: Selection; refused: boolean }) {
  const course = useCourse(selection.courseId);
  const navigate = useNavigate();
  const lessons = course.data?.lessons ?? [];
  const next = lessons.find((lesson) => lesson.when === 'next') ?? lessons.at(-1);
  const [chosen, setChosen] = useState<string | null>(null);
  const lesson = chosen ?? (next ? String(next.id) : null);
  if (!lesson) return <p className="quiet">Plan a lesson first; then this goes into it.</p>;
  const { food, cut, knife, source } = selection;
  const onRack = source === 'rack' ? `&knife=${knife.knife_type}/${knife.length}` : '';
  return (
    <div className="row" style={{ alignItems: 'flex-end', flexWrap: 'nowrap' }}>
      <Select
        label="Lesson"
        style={{ flex: 1 }}
        allowDeselect={false}
        value={lesson}
        onChange={setChosen}
        data={lessons.map((each) => ({
          value: String(each.id),
          label: `${each.number} · ${day(each.starts_at)} · ${each.title}`,
        }))}
      />
      <Button
        disabled={refused}
        onClick={() =>
          void navigate(
            `/courses/${selection.courseId}/plan/${lesson}?add=1&food=${food}&cut=${cut.cut}${onRack}`,
          )
        }
      >
        Add
      </Button>
    </div>
  );
}
