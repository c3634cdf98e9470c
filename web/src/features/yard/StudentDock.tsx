import { Button, Tabs } from '@mantine/core';
import type { Api } from '../../api/client';
import { useChangeStudent } from '../../api/students';
import { useCatalogue, useCourse, useStudent } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { capital, civil, clock, day, percent, spaced, useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import type { MarkKind } from '../../shared/mark';
import { Failed, Loading, Trouble } from '../../shared/State';
import { Said, useSaid } from '../../shared/Said';
import { Trend } from './Trend';
import { useTakeIncidentBack } from '../../api/evidence';
import { TakeBack, TakenBack } from '../../shared/TakeBack';
import styles from './Yard.module.css';

const markOf: Record<Api['NotchState']['kind'], MarkKind> = { open: 'todo', cut: 'held', lapsed: 'lapsed' };

/** One student: why each notch stands as it does, the next step, and the evidence. */
export function StudentDock({ courseId, id }: { courseId: number; id: number }) {
  const student = useStudent(id);
  const course = useCourse(courseId);
  const [unit] = useUnit();
  if (student.isError && !student.data) {
    return (
      <Dock label="Student">
        <Failed error={student.error} again={() => void student.refetch()} />
      </Dock>
    );
  }
  if (!student.data) {
    return (
      <Dock label="Student">
        <Loading />
      </Dock>
    );
  }
  const view = student.data;
  const { student: who, standing } = view;
  const zone = course.data?.course.time_zone ?? 'UTC';
  const first = view.first_strand ?? undefined;
  return (
    <Dock label={`Student ${who.name}`}>
      <div>
        <h2>{who.name}</h2>
        <p className="quiet">
          {who.hand} hand, {who.hand_size} · cleared to {withUnit(who.clearance, unit)} · station{' '}
          {who.station}
        </p>
        {who.allergies.length > 0 && (
          <p className="row">
            <Mark kind="stop" label /> <strong>Allergic: {who.allergies.join(', ')}</strong>
          </p>
        )}
        {who.notes && <p>{who.notes}</p>}
      </div>
      <Next view={view} />
      <Tabs key={first} defaultValue={first ?? 'slice'} variant="outline">
        <Tabs.List grow>
          {standing.strands.map((rule) => (
            <Tabs.Tab key={rule.strand} value={rule.strand} px={6}>
              {capital(rule.strand)}
            </Tabs.Tab>
          ))}
        </Tabs.List>
        {standing.strands.map((rule) => (
          <Tabs.Panel key={rule.strand} value={rule.strand} pt={12}>
            <Strand
              rule={rule}
              attempts={view.attempts.filter((a) => a.strand === rule.strand)}
              mustProve={view.must_prove}
            />
          </Tabs.Panel>
        ))}
      </Tabs>
      {view.incidents.map((incident) => (
        <IncidentLine key={incident.id} incident={incident} zone={zone} />
      ))}
    </Dock>
  );
}

function IncidentLine({ incident, zone }: { incident: Api['Incident']; zone: string }) {
  const takeBack = useTakeIncidentBack();
  const kind = incident.kind === 'nick' ? 'Nick' : 'Near-miss';
  if (incident.taken_back)
    return <TakenBack taken={incident.taken_back} zone={zone} what={`${kind} “${incident.words}”`} />;
  return (
    <div className="tight">
      <p className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
        <Mark kind="caution" label />
        <span>
          <strong>
            {kind}, {day(civil(incident.happened_at, zone))}.
          </strong>{' '}
          {incident.words}
          {incident.place && ` At ${incident.place}.`}
          {incident.first_aid && ` First aid: ${incident.first_aid}`}
          {incident.aid_by && ` (${incident.aid_by})`}
        </span>
      </p>
      <TakeBack
        what={`${kind.toLowerCase()} of ${day(civil(incident.happened_at, zone))}`}
        pending={takeBack.isPending}
        onTakeBack={(said, told) => takeBack.mutate({ id: incident.id, said }, told)}
      />
    </div>
  );
}

/** The next step; a longer blade is cleared here, by the instructor. */
function Next({ view }: { view: Api['StudentView'] }) {
  const { student, standing } = view;
  const { next } = standing;
  const [unit] = useUnit();
  const clear = useChangeStudent(student);
  const said = useSaid();
  const blade = next.blade ?? undefined;
  return (
    <section
      style={{
        background: 'var(--accent-tint)',
        borderLeft: '4px solid var(--accent)',
        padding: '12px 14px',
      }}
      aria-label="Next step"
    >
      <h3>
        Next: <Said>{next.title}</Said>
      </h3>
      <p style={{ marginTop: 4 }}>{capital(said(next.reason))}.</p>
      {next.kind === 'longer_blade' && blade !== undefined && (
        <Button mt={8} onClick={() => clear.mutate({ clearance: blade })} loading={clear.isPending}>
          Clear to {withUnit(blade, unit)}
        </Button>
      )}
      {next.kind === 'special_clearance' && (
        <Button mt={8} onClick={() => clear.mutate({ special_clearance: true })} loading={clear.isPending}>
          Give the special clearance
        </Button>
      )}
      <Trouble error={clear.error} />
    </section>
  );
}

interface StrandProps {
  rule: Api['StrandRule'];
  attempts: Api['Attempt'][];
  mustProve: number;
}

function Strand({ rule, attempts, mustProve }: StrandProps) {
  const catalogue = useCatalogue();
  const cutName = (id: string) => catalogue.data?.cuts.find((cut) => cut.id === id)?.name ?? spaced(id);
  return (
    <div className="stack">
      <ul>
        {rule.notches.map((notch) => (
          <Reason key={notch.kind} kind={markOf[notch.state.kind]}>
            <Said>{notch.words}</Said>.
          </Reason>
        ))}
      </ul>
      <Trend attempts={attempts} mustProve={mustProve} />
      <section aria-label="Attempts">
        <h3>Attempts</h3>
        {attempts.length === 0 && <p className="quiet">None yet in {rule.strand}.</p>}
        <ul className={styles.attempts}>
          {attempts.slice(0, 8).map((attempt) => (
            <AttemptLine
              key={attempt.id}
              attempt={attempt}
              cut={cutName(attempt.cut)}
              faults={catalogue.data?.faults ?? []}
            />
          ))}
        </ul>
        {attempts.length > 8 && <p className="quiet">and {attempts.length - 8} before</p>}
      </section>
    </div>
  );
}

function AttemptLine({
  attempt,
  cut,
  faults,
}: {
  attempt: Api['Attempt'];
  cut: string;
  faults: Api['Fault'][];
}) {
  const seen = attempt.marks.faults
    .map((id) => faults.find((fault) => fault.id === id))
    .filter((fault) => fault !== undefined);
  const sample = attempt.samples.at(-1);
  const took = attempt.seconds ?? undefined;
  return (
    <li>
      <span className="spread">
        <span>
          {day(attempt.on_day)} · {cut}
        </span>
        <span className="mono">{took === undefined ? 'running' : clock(took)}</span>
      </span>
      {sample && (
        <span className="quiet">
          {sample.verdict.inside.count} of {sample.verdict.inside.of} inside
          {sample.verdict.cv !== null &&
            sample.verdict.cv !== undefined &&
            `, spread ${percent(sample.verdict.cv)}`}
          {sample.custom === 'best_four' && ' (best four: no evidence)'}
        </span>
      )}
      {seen.map((fault) => (
        <span key={fault.id} className="row" style={{ gap: 6 }}>
          <Mark
            kind={fault.severity === 'stop' ? 'stop' : fault.severity === 'hold' ? 'caution' : 'todo'}
            size={13}
            label
          />{' '}
          {fault.short}
        </span>
      ))}
    </li>
  );
}
