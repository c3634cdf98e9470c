import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { Suspense, lazy } from 'react';
import type { Api } from '../../api/client';
import { useZone } from '../../api/queries';
import { civil, hour } from '../../shared/format';
import { Mark } from '../../shared/mark';
import styles from './Class.module.css';

// A form is loaded when one is asked for: the class comes up without it.
const Correcting = lazy(() => import('./Correcting'));

/** What a mark is called. */
export function markName(what: Api['MarkKind'], faults: readonly Api['Fault'][]): string {
  if (what.kind === 'fault') return faults.find((fault) => fault.id === what.fault)?.short ?? what.fault;
  return { grip: 'Grip sound', hold: 'Hold sound', praise: 'Praise', cleared: 'Cleared to go on' }[what.kind];
}

interface Props {
  attempt: Api['Attempt'];
  student: Api['Student'];
  faults: readonly Api['Fault'][];
}

/** Each mark of an attempt with its moment and who made it; what was corrected stands beside the original. */
export function Made({ attempt, student, faults }: Props) {
  const zone = useZone(student.course_id);
  const [open, { toggle }] = useDisclosure();
  const made = attempt.made ?? [];
  if (made.length === 0) return null;
  return (
    <div className="tight">
      <Button variant="default" size="xs" aria-expanded={open} onClick={toggle} w="fit-content">
        {made.length === 1 ? '1 mark' : `${made.length} marks`}, when and by whom
      </Button>
      {open && (
        <ul className={styles.made} aria-label="Marks, when and by whom">
          {made.map((mark) => (
            <Line key={mark.id} mark={mark} made={made} zone={zone} faults={faults} />
          ))}
        </ul>
      )}
    </div>
  );
}

interface LineProps {
  mark: Api['Mark'];
  made: readonly Api['Mark'][];
  zone: string;
  faults: readonly Api['Fault'][];
}

function Line({ mark, made, zone, faults }: LineProps) {
  const [correcting, { toggle }] = useDisclosure();
  const name = markName(mark.what, faults);
  const original = made.find((each) => each.id === mark.instead_of);
  const unsent = mark.id < 0;
  return (
    <li>
      <div className="spread">
        <span>
          <span className="mono">{hour(civil(mark.at, zone))}</span>{' '}
          {mark.taken_back ? <s>{name}</s> : <strong>{name}</strong>}
          {mark.by && <span className="quiet"> · {mark.by}</span>}
          {original && <span className="quiet"> · instead of {markName(original.what, faults)}</span>}
          {unsent && <span className="quiet"> · not sent yet</span>}
        </span>
        {!mark.taken_back && !unsent && !correcting && (
          <Button size="xs" variant="default" onClick={toggle} aria-label={`Correct ${name}…`}>
            Correct…
          </Button>
        )}
      </div>
      {mark.taken_back && (
        <p className="row quiet">
          <Mark kind="lapsed" size={13} label />
          <span>
            {mark.taken_back.who}, {hour(civil(mark.taken_back.at, zone))}: {mark.taken_back.why}
          </span>
        </p>
      )}
      {correcting && !mark.taken_back && (
        <Suspense fallback={null}>
          <Correcting mark={mark} name={name} faults={faults} close={toggle} />
        </Suspense>
      )}
    </li>
  );
}
