import { Button } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useSearchParams } from 'react-router';
import type { Api } from '../../api/client';
import { useCare, useInspection } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { Knife } from '../../shared/drawing';
import { useFields } from '../../shared/fields';
import type { MarkKind } from '../../shared/mark';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useBuyKnife, useWriteCare } from './changes';
import { KnifeInputs } from './KnifeInputs';
import type { Fields } from './knifeFields';
import { emptyKnife, fieldsOf } from './knifeFields';
import styles from './Rack.module.css';
import { SeenInputs } from './SeenInputs';
import type { Seen } from './SeenInputs';
import { nothingSeen } from './SeenInputs';

interface Props {
  courseId: number;
  tabs: React.ReactNode;
}

/**
 * The buying check: in the shop or at the door, a knife in the hand, to decide whether it is taken; on the
 * rack, to look a knife over again.
 */
export default function BuyView({ courseId, tabs }: Props) {
  const [search] = useSearchParams();
  const asked = search.get('knife');
  const care = useCare(asked ? Number(asked) : undefined, { course: courseId });
  if (!asked) return <NewKnife courseId={courseId} tabs={tabs} />;
  if (!care.data)
    return care.isError ? <Failed error={care.error} again={() => void care.refetch()} /> : <Loading />;
  return <OnRack key={asked} courseId={courseId} tabs={tabs} care={care.data} />;
}

function NewKnife({ courseId, tabs }: Props) {
  const [, setSearch] = useSearchParams();
  const knife = useFields<Fields>(emptyKnife, [], '/knife');
  const seen = useFields<Seen>(nothingSeen, [], '/seen');
  const buy = useBuyKnife(courseId, (kept) => setSearch({ knife: String(kept.id) }));
  const told = {
    onError: (error: unknown) => {
      knife.told.onError(error);
      seen.told.onError(error);
    },
    onSuccess: () => undefined,
  };
  return (
    <Frame
      courseId={courseId}
      tabs={tabs}
      title="Buying check"
      under="A knife in your hand: what speaks for it, and against it"
      question={{ knife: knife.form.values, knife_id: null, seen: seen.form.values }}
    >
      <form
        className={styles.buying}
        aria-label="Buying check"
        onSubmit={(event) => {
          event.preventDefault();
          buy.mutate({ knife: knife.form.values, seen: seen.form.values }, told);
        }}
      >
        <section className="card stack" aria-label="What you see">
          <h2>What you see</h2>
          <SeenInputs form={seen.form} />
        </section>
        <section className="card stack" aria-label="The knife">
          <h2>The knife</h2>
          <KnifeInputs form={knife.form} />
          <Button type="submit" loading={buy.isPending}>
            Bought: put it on the rack
          </Button>
          {knife.trouble && seen.trouble ? <Trouble error={knife.trouble} /> : null}
        </section>
      </form>
    </Frame>
  );
}

function OnRack({ courseId, tabs, care }: Props & { care: Api['KnifeCare'] }) {
  const [, setSearch] = useSearchParams();
  const { knife, label } = care;
  const { form, trouble, told } = useFields<Seen>(nothingSeen, [], '/seen');
  const save = useWriteCare(courseId, knife.id, () => setSearch({ knife: String(knife.id) }));
  return (
    <Frame
      courseId={courseId}
      tabs={tabs}
      title={`No. ${knife.number} looked over`}
      under={`${label}: as before it is bought`}
      question={{ knife: fieldsOf(knife), knife_id: knife.id, seen: form.values }}
    >
      <form
        className="card stack"
        aria-label="What you see"
        onSubmit={form.onSubmit((seen) =>
          save.mutate({ kind: 'inspection', seen, on_day: care.today, words: '' }, told),
        )}
      >
        <h2>What you see</h2>
        <SeenInputs form={form} />
        <Button type="submit" loading={save.isPending}>
          Write it into its record
        </Button>
        <Trouble error={trouble} />
      </form>
    </Frame>
  );
}

interface FrameProps extends Props {
  title: string;
  under: string;
  question: Api['InspectionQuestion'];
  children: React.ReactNode;
}

function Frame({ courseId, tabs, title, under, question, children }: FrameProps) {
  const [asked] = useDebouncedValue(question, 150);
  const found = useInspection(courseId, asked);
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>{title}</h1>
            <p className="quiet">{under}</p>
          </div>
          {tabs}
        </div>
        {children}
      </main>
      <Dock label="What it says">
        <Trouble error={found.error} />
        {found.data && <Verdict found={found.data} mirrored={question.knife.hand === 'left'} />}
      </Dock>
    </>
  );
}

const MARKS: Record<Api['Says'], MarkKind> = {
  good: 'held',
  not_seen: 'todo',
  mind: 'caution',
  leave: 'stop',
};

function Verdict({ found, mirrored }: { found: Api['InspectionView']; mirrored: boolean }) {
  return (
    <>
      <div>
        <h2>{found.label}</h2>
        <p role="status" className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
          <Mark kind={MARKS[found.says]} size={20} label />
          <strong>
            <Said>{found.words}</Said>
          </strong>
        </p>
      </div>
      <Knife
        silhouette={found.silhouette}
        scale={0.72}
        label={`${found.label}, where the pinch holds it${found.balance === null ? '' : ' and where it rests level'}`}
        mirrored={mirrored}
        held={{ pinch: found.pinch, balance: found.balance ?? undefined }}
      />
      <p className="quiet">
        Shaded: where a pinch holds the blade.{' '}
        {found.balance === null || found.balance === undefined
          ? 'The balance point is drawn when it is entered.'
          : 'The point below: where it rests level.'}
      </p>
      <ul aria-label="Point by point">
        {found.findings.map((finding) => (
          <Reason
            key={finding.point}
            kind={MARKS[finding.says]}
            title={`${finding.name}.`}
            says={finding.words}
          />
        ))}
      </ul>
    </>
  );
}
