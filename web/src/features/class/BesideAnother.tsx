import { Select } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useBeside, useStudent, useZone } from '../../api/queries';
import { civil, day, hour, useUnit, capital } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { SizeRule } from '../../shared/rule';
import { Said } from '../../shared/Said';
import { Trouble } from '../../shared/State';

interface Props {
  student: Api['Student'];
  attempt: Api['Attempt'];
  sample: Api['Sample'];
}

const CUSTOMS: Record<Api['SampleCustom'], string> = { blind_ten: 'blind ten', best_four: 'best four' };

/** This sample and another of the same cut on one rule: before and after, then and now, chosen and unseen. */
export function BesideAnother({ student, attempt, sample }: Props) {
  const evidence = useStudent(student.id);
  const zone = useZone(student.course_id);
  const [other, setOther] = useState<string | null>(null);
  const beside = useBeside(sample.id, other ? Number(other) : undefined);
  const others = (evidence.data?.attempts ?? [])
    .filter((each) => each.cut === attempt.cut)
    .flatMap((each) => each.samples)
    .filter((each) => each.id !== sample.id);
  if (others.length === 0) return null;
  const named = (each: Api['Sample']) => {
    const when = civil(each.taken_at, zone);
    const { count, of } = each.verdict.inside;
    return `${day(when)}, ${hour(when)}: ${CUSTOMS[each.custom]}, ${count} of ${of} inside`;
  };
  return (
    <section className="tight" aria-label="Beside another sample">
      <Select
        label="Beside another sample of this cut"
        placeholder="None"
        clearable
        data={others.map((each) => ({ value: String(each.id), label: named(each) }))}
        value={other}
        onChange={setOther}
      />
      <Trouble error={beside.error} />
      {other && beside.data && <Both beside={beside.data} />}
    </section>
  );
}

function Both({ beside }: { beside: Api['SamplesBeside'] }) {
  const [unit] = useUnit();
  return (
    <>
      {beside.words.map((words, at) => (
        <p key={at} className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
          {!beside.alike && at > 0 && <Mark kind="caution" label />}
          <span>
            <Said>{words}</Said>
          </span>
        </p>
      ))}
      {beside.sides.map((side) => {
        const sizes = [...side.first.sizes, ...side.second.sizes];
        return (
          <div key={side.dimension} role="group" aria-label={`${capital(side.dimension)} of both`}>
            <h3>{capital(side.dimension)}</h3>
            <p className="quiet">First</p>
            <SizeRule side={side.first} unit={unit} over={sizes} />
            <p className="quiet">Second</p>
            <SizeRule side={side.second} unit={unit} over={sizes} />
            {side.words.map((words, at) => (
              <p key={at}>
                <Said>{words}</Said>
              </p>
            ))}
          </div>
        );
      })}
    </>
  );
}
