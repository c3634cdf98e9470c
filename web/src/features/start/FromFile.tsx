import { Button, FileButton } from '@mantine/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Trouble } from '../../shared/State';
import { useLookInto, useTakeFile } from './changes';

/** Problems that are shown; a file that is not what it should be has many of a kind. */
const SHOWN = 6;

/** A course that another school, or this one, saved as a file: looked into before it is taken. */
export function FromFile() {
  const navigate = useNavigate();
  const [file, setFile] = useState<Api['CourseFile']>();
  const [unread, setUnread] = useState<Error>();
  const look = useLookInto();
  const take = useTakeFile((course) => void navigate(`/courses/${course.id}/course`));
  const chosen = async (chosen: File | null) => {
    if (!chosen) return;
    look.reset();
    take.reset();
    setFile(undefined);
    try {
      const read = JSON.parse(await chosen.text()) as Api['CourseFile'];
      setUnread(undefined);
      setFile(read);
      look.mutate(read);
    } catch {
      setUnread(new Error(`“${chosen.name}” is no course file: it cannot be read as JSON.`));
    }
  };
  return (
    <section className="tight" aria-label="A course from a file">
      <div className="row">
        <FileButton accept=".json,application/json" onChange={(file) => void chosen(file)}>
          {(props) => (
            <Button variant="default" loading={look.isPending} {...props}>
              Take a course from a file…
            </Button>
          )}
        </FileButton>
        <span className="quiet">As it was saved on its course page, here or in another school.</span>
      </div>
      <Trouble error={unread} />
      <Wrong error={look.error ?? take.error} />
      {look.data && file && (
        <div className="card tight">
          <h2>{look.data.name}</h2>
          <p className="quiet">{look.data.school}</p>
          <ul>
            {look.data.lines.map((line, index) => (
              <li key={index}>
                <Said>{line}</Said>
              </li>
            ))}
          </ul>
          <div className="row">
            <Button loading={take.isPending} onClick={() => take.mutate(file)}>
              Take it in
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}

/** Why a file is not taken, each with its place in it. */
function Wrong({ error }: { error: unknown }) {
  if (!(error instanceof ApiProblem) || error.document.problems.length === 0)
    return <Trouble error={error} />;
  const { problems } = error.document;
  return (
    <div role="alert" className="tight">
      <p className="chip" data-kind="stop">
        <Mark kind="stop" /> This file was not taken, and nothing of it was kept.
      </p>
      <ul>
        {problems.slice(0, SHOWN).map((problem) => (
          <li key={problem.pointer}>
            <Said>{problem.sentence}</Said> <span className="quiet mono">{problem.pointer}</span>
          </li>
        ))}
        {problems.length > SHOWN && <li className="quiet">and {problems.length - SHOWN} more.</li>}
      </ul>
    </div>
  );
}
