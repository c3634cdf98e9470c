import type { Api } from '../../api/client';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { Knife } from '../../shared/drawing';
import { capital } from '../../shared/format';
import { Loading } from '../../shared/State';

type Finding = Api['Finding'];

const isFor = (finding: Finding) => finding.effect.kind === 'for';

/** Findings of everything that is chosen, each told once. */
function chosenFindings(advice: Api['Advice']): Finding[] {
  const { setup } = advice;
  if (!setup) return [];
  const of = <T,>(choices: { value: T; fit: Api['Fit'] }[], value: T) =>
    choices.find((c) => c.value === value)?.fit.findings ?? [];
  const knife = advice.knife === null || advice.knife === undefined ? undefined : advice.knives[advice.knife];
  const all = [
    ...(knife?.fit.findings ?? []),
    ...of(advice.motions, setup.motion),
    ...of(advice.grips, setup.grip),
    ...of(advice.holds, setup.hold),
    ...of(advice.thirds, setup.third),
  ];
  return all.filter((finding, index) => all.findIndex((other) => other.rule === finding.rule) === index);
}

/** Reasons, cautions and refusals of an exercise. */
export function AdviceDock({
  advice,
  planned,
  disclaimer,
}: {
  advice: Api['Advice'] | undefined;
  planned?: Api['PlannedExercise'];
  disclaimer: string;
}) {
  if (!advice) {
    return (
      <Dock label="Reasons and cautions">
        {planned ? planned.problems.map((p) => <p key={p.message}>{p.message}</p>) : <Loading />}
        <Disclaimer>{disclaimer}</Disclaimer>
      </Dock>
    );
  }
  const findings = chosenFindings(advice);
  const refusals = findings.filter((finding) => finding.effect.kind === 'refuse');
  const against = findings.filter((finding) => finding.effect.kind === 'against');
  return (
    <Dock label="Reasons and cautions">
      <div>
        <h2>{advice.title}</h2>
        {advice.setup && (
          <p className="quiet">
            {advice.setup.knife_name} · {advice.setup.words}
          </p>
        )}
      </div>
      {advice.silhouette && advice.setup && (
        <Knife
          silhouette={advice.silhouette}
          scale={0.8}
          third={advice.setup.third}
          label={`${advice.setup.knife_name} in the dock`}
        />
      )}
      <ul aria-label="Objections">
        {refusals.map((f) => (
          <Reason key={f.rule} kind="stop" title="Refused." says={f.words} />
        ))}
        {against.map((f) => (
          <Reason key={f.rule} kind="caution" says={f.words} />
        ))}
      </ul>
      <Others advice={advice} />
      {advice.cautions.length > 0 && (
        <section>
          <h3 style={{ marginBottom: 8 }}>Cautions</h3>
          <ul>
            {advice.cautions.map((caution) => (
              <Reason key={caution.id} kind={caution.severity} title={caution.title} says={caution.text} />
            ))}
          </ul>
        </section>
      )}
      <LaidOut tools={advice.tools} />
      <section>
        <h3 style={{ marginBottom: 8 }}>Why this setup</h3>
        <ul>
          {findings.filter(isFor).map((f) => (
            <Reason key={f.rule} kind="held" says={f.words} />
          ))}
        </ul>
      </section>
      <NotOffered advice={advice} />
      <Disclaimer>{disclaimer}</Disclaimer>
    </Dock>
  );
}

/** Tools beside the knife. */
function LaidOut({ tools }: { tools: Api['ShownTool'][] }) {
  if (tools.length === 0) return null;
  return (
    <section>
      <h3 style={{ marginBottom: 8 }}>Laid out beside the knife</h3>
      <ul>
        {tools.map((tool) => (
          <Reason key={tool.id} kind="note" title={`${capital(tool.name)}.`}>
            {tool.does}
          </Reason>
        ))}
      </ul>
    </section>
  );
}

/** Who may not hold the proposed knife yet, and what they take. */
export function Others({ advice }: { advice: Api['Advice'] }) {
  if (advice.others.length === 0) return null;
  return (
    <section>
      <h3 style={{ marginBottom: 8 }}>Who takes another knife</h3>
      <ul>
        {advice.others.map((other) => (
          <Reason
            key={other.knife ?? 'none'}
            kind={other.fits ? 'note' : other.knife ? 'caution' : 'stop'}
            title={
              other.fits
                ? `${other.knife}:`
                : other.knife
                  ? `${other.knife}, for want of a better:`
                  : 'No knife on the rack for'
            }
          >
            {other.students.join(', ')}.
          </Reason>
        ))}
      </ul>
    </section>
  );
}

function NotOffered({ advice }: { advice: Api['Advice'] }) {
  const refused = advice.knives.filter((knife, index) => knife.fit.refused && index !== advice.knife);
  if (refused.length === 0) return null;
  return (
    <section>
      <h3 style={{ marginBottom: 8 }}>Not offered</h3>
      <ul>
        {refused.map((knife) => (
          <Reason
            key={`${knife.name} ${knife.numbers.join()}`}
            kind="stop"
            title={`${knife.name}:`}
            says={knife.fit.findings.find((f) => f.effect.kind === 'refuse')?.words}
          />
        ))}
      </ul>
    </section>
  );
}

/** The dock of a lesson without exercises. */
export function LessonDock({ disclaimer }: { disclaimer: string }) {
  return (
    <Dock label="Reasons and cautions">
      <h2>What this lesson needs next</h2>
      <p>
        Review the last technique first, then add one or two. Each exercise brings its knife, grip, hold and
        cautions with it, with the reason for each.
      </p>
      <Disclaimer>{disclaimer}</Disclaimer>
    </Dock>
  );
}
