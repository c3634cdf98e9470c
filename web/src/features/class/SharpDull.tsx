import { Button, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { useSharpDull, useSharpDullLook } from '../../api/queries';
import { BesideTable } from '../../shared/beside';
import { Dock, Reason } from '../../shared/dock';
import { useFields, whole } from '../../shared/fields';
import type { FieldsForm } from '../../shared/fields';
import { capital } from '../../shared/format';
import { Said } from '../../shared/Said';
import { Failed, Loading, Trouble } from '../../shared/State';
import { TakeBack } from '../../shared/TakeBack';
import { useWho } from '../../shared/who';
import { useKeepDemonstration, useTakeDemonstrationBack } from './changes';
import styles from './Class.module.css';

interface Props {
  lessonId: number;
  onLeave: () => void;
}

/**
 * The sharp–dull lesson. The instructor has just cut the same food with both knives, the class around the
 * board, and enters what came of it, so that the figures and not the instructor say what a dull edge does.
 */
export default function SharpDull({ lessonId, onLeave }: Props) {
  const lesson = useSharpDull(lessonId);
  if (!lesson.data)
    return lesson.isError ? <Failed error={lesson.error} again={() => void lesson.refetch()} /> : <Loading />;
  return <Showing lessonId={lessonId} onLeave={onLeave} lesson={lesson.data} />;
}

type Head = { who: string; food: string; cut: string };

const work = (knife?: Api['ShownKnife']): Api['KnifeWork'] => ({
  knife_id: knife?.id ?? 0,
  pieces: '',
  strokes: 0,
  faces: 20,
  crushed: 0,
});

function Showing({ lessonId, onLeave, lesson }: Props & { lesson: Api['SharpDullLesson'] }) {
  const [known, setWho] = useWho();
  const first = lesson.foods.find((food) => food.id === 'cucumber') ?? lesson.foods[0];
  const head = useFields<Head>({ who: known, food: first?.id ?? '', cut: first?.cuts[0]?.id ?? '' });
  const sharp = useFields(work(lesson.sharp[0]), [], '/sharp');
  const dulled = useFields(work(lesson.dulled[0]), [], '/dulled');
  const fields = { ...head.form.values, sharp: sharp.form.values, dulled: dulled.form.values };
  const [asked] = useDebouncedValue(fields, 200);
  const typed = (each: Api['KnifeWork']) => each.pieces.trim() !== '' && each.strokes > 0;
  const ready = typed(asked.sharp) && typed(asked.dulled) && asked.who.trim() !== '';
  const look = useSharpDullLook(lessonId, asked, ready);
  const parts = [head, sharp, dulled];
  const keep = useKeepDemonstration(lessonId, () => {
    setWho(fields.who);
    sharp.form.setValues({ pieces: '', strokes: 0, crushed: 0 });
    dulled.form.setValues({ pieces: '', strokes: 0, crushed: 0 });
  });
  const food = lesson.foods.find((each) => each.id === fields.food);
  const cut = food?.cuts.find((each) => each.id === fields.cut);
  const told = {
    onError: (error: unknown) => parts.forEach((part) => part.told.onError(error)),
    onSuccess: () => undefined,
  };
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Sharp and dull</h1>
            <p className="quiet">The same job with both knives, by the instructor</p>
          </div>
          <Button variant="default" onClick={onLeave}>
            Back to the class
          </Button>
        </div>
        <ul className="card">
          <Reason kind="stop" title="A demonstration.">
            {lesson.caution}
          </Reason>
        </ul>
        {lesson.dulled.length === 0 ? (
          <p>No knife on the rack is dull. A practice knife that failed its edge test can be shown here.</p>
        ) : (
          <form
            className="stack"
            aria-label="Sharp and dull"
            onSubmit={(event) => {
              event.preventDefault();
              keep.mutate(fields, told);
            }}
          >
            <Job form={head.form} foods={lesson.foods} />
            <div className={styles.both}>
              <Work
                title="Sharp"
                form={sharp.form}
                knives={lesson.sharp}
                columns={cut?.columns ?? []}
                label="Sharp knife"
              />
              <Work
                title="Dulled"
                form={dulled.form}
                knives={lesson.dulled}
                columns={cut?.columns ?? []}
                label="Dulled practice knife"
              />
            </div>
            <Button type="submit" loading={keep.isPending} w="fit-content">
              Keep it with the lesson
            </Button>
            {parts.every((part) => part.trouble) && <Trouble error={head.trouble} />}
          </form>
        )}
      </main>
      <Dock label="What it shows" wide>
        {ready && <Trouble error={look.error} />}
        {ready && look.data && !look.error ? (
          <Shown view={look.data} />
        ) : (
          <p className="quiet">
            Enter the pieces, the strokes and the crushed faces of both knives: how they differ stands here.
          </p>
        )}
        <Kept kept={lesson.kept} />
      </Dock>
    </>
  );
}

/** Who shows which cut of which food. */
function Job({ form, foods }: { form: FieldsForm<Head>; foods: Api['SoftFood'][] }) {
  const food = foods.find((each) => each.id === form.values.food);
  return (
    <div className="card row" style={{ alignItems: 'flex-start' }}>
      <TextInput label="Who showed it" withAsterisk {...form.getInputProps('who')} />
      <Select
        label="Soft food"
        searchable
        allowDeselect={false}
        data={foods.map((each) => ({ value: each.id, label: capital(each.name) }))}
        {...form.getInputProps('food')}
        onChange={(id) =>
          form.setValues({
            food: id ?? '',
            cut: foods.find((each) => each.id === id)?.cuts[0]?.id ?? '',
          })
        }
      />
      <Select
        label="Cut"
        allowDeselect={false}
        data={(food?.cuts ?? []).map((each) => ({ value: each.id, label: capital(each.name) }))}
        {...form.getInputProps('cut')}
      />
    </div>
  );
}

interface WorkProps {
  title: string;
  label: string;
  form: FieldsForm<Api['KnifeWork']>;
  knives: Api['ShownKnife'][];
  columns: string[];
}

function Work({ title, label, form, knives, columns }: WorkProps) {
  const count = (key: 'strokes' | 'faces' | 'crushed', name: string) => (
    <NumberInput
      label={name}
      min={0}
      {...form.getInputProps(key)}
      onChange={(v) => form.setFieldValue(key, whole(v))}
    />
  );
  return (
    <section className="card stack" aria-label={title}>
      <h2>{title}</h2>
      <Select
        label={label}
        allowDeselect={false}
        data={knives.map((knife) => ({ value: String(knife.id), label: knife.label }))}
        {...form.getInputProps('knife_id')}
        value={String(form.values.knife_id)}
        onChange={(id) => form.setFieldValue('knife_id', Number(id))}
      />
      <Textarea
        className={styles.pieces}
        label={`One piece a line: ${columns.join(', ')}`}
        rows={5}
        spellCheck={false}
        {...form.getInputProps('pieces')}
      />
      <div className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-end' }}>
        {count('strokes', 'Strokes')}
        {count('faces', 'Faces looked at')}
        {count('crushed', 'Crushed')}
      </div>
    </section>
  );
}

function Shown({ view }: { view: Api['SharpDullView'] }) {
  return (
    <section className="tight" aria-label={view.title}>
      <h2>{view.title}</h2>
      <p role="status">
        <strong>
          <Said>{view.words}</Said>
        </strong>
      </p>
      <BesideTable
        rows={view.rows}
        heads={view.knives.map((knife, index) => (
          <>
            <div>{index === 0 ? 'Sharp' : 'Dulled'}</div>
            <div className="quiet">{knife}</div>
          </>
        ))}
      />
    </section>
  );
}

function Kept({ kept }: { kept: Api['KeptDemonstration'][] }) {
  const takeBack = useTakeDemonstrationBack();
  return kept.map(({ demonstration, view }) => (
    <section key={demonstration.id} className="tight" aria-label={`Kept: ${view.title}`}>
      <p className="quiet">Shown by {demonstration.who} and kept with this lesson:</p>
      <Shown view={view} />
      <TakeBack
        what="this demonstration"
        pending={takeBack.isPending}
        onTakeBack={(said, told) => takeBack.mutate({ id: demonstration.id, said }, told)}
      />
    </section>
  ));
}
