import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useCatalogue, useCourse, useTriedDoctrines } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { capital } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useSaveDoctrines } from './changes';
import styles from './Playbook.module.css';

type Doctrines = Api['Doctrines'];

/** Where practitioners disagree: what this course does, and what another choice would change. */
export function DoctrinesView({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const course = useCourse(courseId);
  const catalogue = useCatalogue();
  if (!course.data || !catalogue.data)
    return course.isError ? <Failed error={course.error} again={() => void course.refetch()} /> : <Loading />;
  return (
    <Questions
      key={course.data.course.version}
      course={course.data.course}
      questions={catalogue.data.doctrines}
      disclaimer={catalogue.data.disclaimer}
      names={{
        standard_set: catalogue.data.sets.find((s) => s.id === course.data.course.standard_set)?.name ?? '',
        tolerance: catalogue.data.tolerances.find((t) => t.id === course.data.course.tolerance)?.name ?? '',
      }}
      tabs={tabs}
    />
  );
}

interface Props {
  course: Api['Course'];
  questions: Api['DoctrineQuestion'][];
  disclaimer: string;
  /** Names of the set of standards and the tolerance, which answer two of the questions. */
  names: Record<string, string>;
  tabs: React.ReactNode;
}

function Questions({ course, questions, disclaimer, names, tabs }: Props) {
  const [draft, setDraft] = useState<Doctrines>(course.doctrines);
  const changed = JSON.stringify(draft) !== JSON.stringify(course.doctrines);
  const tried = useTriedDoctrines(course.id, changed ? draft : undefined);
  const save = useSaveDoctrines(course);
  const chosen = (question: Api['DoctrineQuestion']) =>
    (draft[question.id as keyof Doctrines] as string | undefined) ?? question.doctrines?.[0]?.id;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Where practitioners disagree</h1>
            <p className="quiet">What {course.name} does; the first answer is our default</p>
          </div>
          {tabs}
        </div>
        <div className="card">
          {questions.map((question) => (
            <fieldset key={question.id} className={styles.question} aria-label={question.ask}>
              <legend>{question.ask}</legend>
              <p className="quiet" style={{ clear: 'both' }}>
                {question.why}
              </p>
              {question.decided_by ? (
                <p>
                  <Mark kind="note" size={12} /> {capital(names[question.decided_by] ?? '')}, chosen with the
                  course.
                </p>
              ) : (
                <div className={styles.answers}>
                  {question.doctrines?.map((each, index) => (
                    <label key={each.id} className={styles.answer}>
                      <input
                        type="radio"
                        name={question.id}
                        checked={chosen(question) === each.id}
                        onChange={() => setDraft((now) => ({ ...now, [question.id]: each.id }))}
                      />
                      {capital(each.name)}
                      {index === 0 && <span className="quiet"> (default)</span>}
                    </label>
                  ))}
                  {question.refused?.map((each) => (
                    <label key={each.name} className={styles.answer}>
                      <input type="radio" name={question.id} disabled />
                      <Mark kind="stop" size={14} /> {each.name}: {each.why}
                    </label>
                  ))}
                </div>
              )}
            </fieldset>
          ))}
        </div>
      </main>
      <Dock label="What changes">
        <h2>{changed ? 'What this would change' : 'What another doctrine changes'}</h2>
        {!changed && (
          <p>Choose another answer: every suggestion that it changes is told here before you save it.</p>
        )}
        {changed && tried.data && <Changes changes={tried.data} />}
        {changed && (
          <div className="row">
            <Button onClick={() => save.mutate(draft)} loading={save.isPending}>
              Save the doctrines
            </Button>
            <Button variant="default" onClick={() => setDraft(course.doctrines)}>
              Put them back
            </Button>
          </div>
        )}
        <Trouble error={save.error ?? tried.error} />
        <p className="quiet">
          Exercises that are planned keep their setup; Plan tells where it no longer fits.
        </p>
        <Disclaimer>{disclaimer}</Disclaimer>
      </Dock>
    </>
  );
}

function Changes({ changes }: { changes: Api['DoctrineChanges'] }) {
  return (
    <>
      <p role="status">
        <strong>
          Changes {changes.changed} of {changes.of} suggestions.
        </strong>
      </p>
      {changes.beside.length > 0 && (
        <ul>
          {changes.beside.map((words, index) => (
            <Reason key={index} kind="note">
              {words}
            </Reason>
          ))}
        </ul>
      )}
      <ul aria-label="Changed suggestions">
        {changes.examples.map((change) => (
          <Reason key={change.title} kind="caution" title={change.title}>
            <br />
            <span className="quiet">now</span> <Said>{change.before}</Said>
            <br />
            <span className="quiet">then</span> <Said>{change.after}</Said>
          </Reason>
        ))}
      </ul>
    </>
  );
}
