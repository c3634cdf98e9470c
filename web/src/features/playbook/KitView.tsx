import { Checkbox, NumberInput, SegmentedControl } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useKit, useKitOptions } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { Failed, Loading, Trouble } from '../../shared/State';
import styles from './Playbook.module.css';

/** How few knives are enough: answered by the course's own cuts. */
export function KitView({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const options = useKitOptions(courseId);
  if (!options.data)
    return options.isError ? (
      <Failed error={options.error} again={() => void options.refetch()} />
    ) : (
      <Loading />
    );
  return <Kit key={courseId} courseId={courseId} options={options.data} tabs={tabs} />;
}

const keyOf = (job: Api['CutOfFood']) => `${job.cut}/${job.food}`;

interface Props {
  courseId: number;
  options: Api['KitOptions'];
  tabs: React.ReactNode;
}

function Kit({ courseId, options, tabs }: Props) {
  const [left, setLeft] = useState<string[]>([]);
  const [without, setWithout] = useState<string[]>([]);
  const [costs, setCosts] = useState<Record<string, number | null>>({});
  const [least, setLeast] = useState(60);
  const [goal, setGoal] = useState<'fewest' | 'cheapest'>('fewest');
  const [budget, setBudget] = useState(200);
  const jobs = options.jobs.filter((job) => !left.includes(keyOf(job)));
  const costOf = (knife: Api['KitType']) =>
    knife.knife_type in costs ? costs[knife.knife_type] : (knife.cost ?? null);
  const question: Api['KitQuestion'] = {
    jobs: jobs.map(({ cut, food }) => ({ cut, food })),
    knives: options.knives
      .filter((knife) => !without.includes(knife.knife_type))
      .map((knife) => ({ knife_type: knife.knife_type, cost: costOf(knife) })),
    least_fit: least,
    goal: goal === 'fewest' ? { kind: 'fewest' } : { kind: 'cheapest', budget },
  };
  const [asked] = useDebouncedValue(question, 120);
  const kit = useKit(courseId, jobs.length > 0 ? asked : undefined);
  const toggle = (list: string[], key: string) =>
    list.includes(key) ? list.filter((each) => each !== key) : [...list, key];
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>The smallest kit</h1>
            <p className="quiet">The fewest knives that cover what this course cuts</p>
          </div>
          {tabs}
        </div>
        <div className={styles.columns}>
          <div className="card stack">
            <SegmentedControl
              fullWidth
              aria-label="Looking for"
              value={goal}
              onChange={(value) => setGoal(value as 'fewest' | 'cheapest')}
              data={[
                { value: 'fewest', label: 'Fewest knives' },
                { value: 'cheapest', label: 'Lowest cost' },
              ]}
            />
            <NumberInput
              label="Least fit that covers a cut"
              description={`of 100; ${options.fits} and more counts as fit for class`}
              min={1}
              max={100}
              value={least}
              onChange={(value) => setLeast(Math.max(0, Math.min(255, Math.round(Number(value)))))}
            />
            {goal === 'cheapest' && (
              <NumberInput
                label="Budget, in your currency"
                min={0}
                value={budget}
                onChange={(value) => setBudget(Number(value))}
              />
            )}
            <CutsToCover
              jobs={options.jobs}
              left={left}
              onToggle={(key) => setLeft((now) => toggle(now, key))}
            />
            <fieldset className={styles.question}>
              <legend>Knives to choose from</legend>
              {options.knives.map((knife) => (
                <KnifeChoice
                  key={knife.knife_type}
                  knife={knife}
                  checked={!without.includes(knife.knife_type)}
                  onToggle={() => setWithout((now) => toggle(now, knife.knife_type))}
                  cost={goal === 'cheapest' ? costOf(knife) : undefined}
                  onCost={(cost) => setCosts((now) => ({ ...now, [knife.knife_type]: cost }))}
                />
              ))}
            </fieldset>
          </div>
          <div className="stack">
            <Trouble error={kit.error} />
            {jobs.length === 0 ? (
              <p>Choose at least one cut.</p>
            ) : kit.data ? (
              <Found
                found={kit.data}
                least={asked.least_fit}
                goal={asked.goal}
                doctrineSays={options.doctrine_says}
              />
            ) : (
              !kit.error && <Loading />
            )}
          </div>
        </div>
      </main>
      <WorkedOut doctrineSays={options.doctrine_says} />
    </>
  );
}

interface CutsProps {
  jobs: Api['KitCut'][];
  /** Keys of those that need not be covered. */
  left: string[];
  onToggle: (key: string) => void;
}

function CutsToCover({ jobs, left, onToggle }: CutsProps) {
  return (
    <fieldset className={styles.question}>
      <legend>Cuts to cover</legend>
      {jobs.map((job) => (
        <Checkbox
          key={keyOf(job)}
          style={{ clear: 'both' }}
          label={job.title}
          checked={!left.includes(keyOf(job))}
          onChange={() => onToggle(keyOf(job))}
        />
      ))}
      {jobs.length === 0 && <p style={{ clear: 'both' }}>No exercise is planned in this course yet.</p>}
    </fieldset>
  );
}

interface ChoiceProps {
  knife: Api['KitType'];
  checked: boolean;
  onToggle: () => void;
  /** Its cost, where cost is looked at; null where none is known. */
  cost: number | null | undefined;
  onCost: (cost: number | null) => void;
}

/** A type to choose from, with its cost where that counts. */
function KnifeChoice({ knife, checked, onToggle, cost, onCost }: ChoiceProps) {
  return (
    <div className="row" style={{ clear: 'both', flexWrap: 'nowrap' }}>
      <Checkbox
        style={{ flex: 1 }}
        label={`${knife.name}${knife.on_rack > 0 ? ` · ${knife.on_rack} on the rack` : ''}`}
        checked={checked}
        onChange={onToggle}
      />
      {cost !== undefined && (
        <NumberInput
          size="xs"
          w={84}
          min={0}
          aria-label={`Cost of ${knife.name}`}
          placeholder="no price"
          value={cost ?? ''}
          onChange={(value) => onCost(value === '' ? null : Number(value))}
        />
      )}
    </div>
  );
}

function WorkedOut({ doctrineSays }: { doctrineSays: number | null | undefined }) {
  return (
    <Dock label="How it is worked out">
      <h2>How it is worked out</h2>
      <ul>
        <Reason kind="note">A knife covers a cut if the rules give it the least fit that you ask for.</Reason>
        <Reason kind="note">
          One knife is tried, then every two, and so on. A smaller kit is ruled out before a larger one is
          looked at: what is found is proven smallest.
        </Reason>
        <Reason kind="note">Of equal kits the one that fits better is taken, then the cheaper.</Reason>
        {doctrineSays && (
          <Reason kind="note" title={`The course’s doctrine says ${doctrineSays}.`}>
            What that many knives cover is marked in the steps.
          </Reason>
        )}
      </ul>
    </Dock>
  );
}

interface FoundProps {
  found: Api['KitAnswer'];
  least: number;
  goal: Api['KitGoal'];
  doctrineSays?: number | null;
}

function Found({ found, least, goal, doctrineSays }: FoundProps) {
  const { kit, knives, jobs, uncovered } = found;
  if (!kit) {
    return (
      <section className="card stack" aria-label="No kit">
        <h2>
          {uncovered.length} {uncovered.length === 1 ? 'cut is' : 'cuts are'} covered by none of these
        </h2>
        <ul>
          {uncovered.map(({ job, nearest }) => (
            <Reason key={job} kind="stop" title={`${job}:`}>
              {nearest
                ? `${nearest.knife} would come nearest, with ${nearest.score} of 100${nearest.score >= least ? ': add it to the choice' : `; ask for ${nearest.score} or less`}.`
                : 'every knife is refused for it.'}
            </Reason>
          ))}
        </ul>
      </section>
    );
  }
  const smaller = kit.knives.length - 1;
  return (
    <>
      <section className="card stack" aria-label="The kit">
        <h2>
          {kit.knives.length} {kit.knives.length === 1 ? 'knife covers' : 'knives cover'} all {jobs.length}
        </h2>
        <p>
          <strong>{kit.knives.map((index) => knives[index]).join(' · ')}</strong>
        </p>
        <p className="quiet">
          {goal.kind === 'fewest'
            ? smaller > 0
              ? `No kit of ${smaller} covers them: all were ruled out, ${kit.looked_at} looked at.`
              : 'There is no smaller kit.'
            : `Costs ${kit.cost}${kit.within_budget ? ', within the budget' : ', over the budget: nothing cheaper covers them'}; ${kit.looked_at} kits looked at.`}
        </p>
        <table className={styles.table} aria-label="Which knife for which cut">
          <thead>
            <tr>
              <th scope="col">Cut</th>
              <th scope="col">Knife of the kit</th>
            </tr>
          </thead>
          <tbody>
            {jobs.map((job, index) => (
              <tr key={job}>
                <td>{job}</td>
                <td>{knives[kit.used_for[index] ?? 0]}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section className="card stack" aria-label="What each knife adds">
        <h2>What the next knife adds</h2>
        <div className={styles.steps}>
          {kit.steps.map((step, index) => (
            <div key={step.knives.join()} style={{ display: 'contents' }}>
              <span className="figure" style={{ fontSize: '1.25rem', fontWeight: 700 }}>
                {index + 1}
              </span>
              <div>
                <div
                  className={styles.bar}
                  style={{ width: `${Math.max(4, (step.covered / jobs.length) * 100)}%` }}
                />
                <strong>
                  {step.covered} of {jobs.length}
                </strong>{' '}
                with {step.knives.map((knife) => knives[knife]).join(', ')}
                {doctrineSays === index + 1 && <strong> · your school’s number</strong>}
                <br />
                <span className="quiet">
                  {step.adds.length > 0
                    ? `adds ${step.adds.map((job) => jobs[job]).join(', ')}`
                    : 'adds no cut'}
                  {' · '}mean fit {step.mean_score.toFixed(0)}
                </span>
              </div>
            </div>
          ))}
        </div>
      </section>
    </>
  );
}
