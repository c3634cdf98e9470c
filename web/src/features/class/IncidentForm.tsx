import { Button, Modal, SegmentedControl, Select, TextInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { useWriteIncident } from './changes';

/** Writes a nick or near-miss down; what to do first stands above it. */
export function IncidentForm({
  view,
  student,
  close,
}: {
  view: Api['ClassView'];
  student: Api['Student'] | undefined;
  close: () => void;
}) {
  const [kind, setKind] = useState<Api['IncidentKind']>('near_miss');
  const [who, setWho] = useState<string | null>(student ? String(student.id) : null);
  const [words, setWords] = useState('');
  const [place, setPlace] = useState(student ? `station ${student.station}` : '');
  const [aid, setAid] = useState('');
  const [aidBy, setAidBy] = useState('');
  const save = useWriteIncident(view.lesson.id, close);
  const at = (field: string) => (save.error instanceof ApiProblem ? save.error.at(field) : undefined);
  const problem = ['/words', '/place', '/first_aid', '/aid_by'].map(at).find(Boolean);
  return (
    <Modal
      opened
      onClose={close}
      title="Nick or near-miss"
      size="md"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <form
        className="stack"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate({
            kind,
            words,
            place,
            first_aid: aid,
            aid_by: aidBy,
            student_id: who ? Number(who) : null,
          });
        }}
      >
        <p className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
          <Mark kind="stop" label size={20} /> <strong>{view.first_aid}</strong>
        </p>
        <SegmentedControl
          aria-label="Kind"
          value={kind}
          onChange={(value) => setKind(value as Api['IncidentKind'])}
          data={[
            { value: 'near_miss', label: 'Near-miss' },
            { value: 'nick', label: 'Nick' },
          ]}
        />
        <Select
          label="Student"
          clearable
          data={view.stations.map((s) => ({ value: String(s.student.id), label: s.student.name }))}
          value={who}
          onChange={setWho}
        />
        <Textarea
          label="What happened"
          data-autofocus
          autosize
          minRows={3}
          maxLength={400}
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
          error={at('/words')}
        />
        <TextInput
          label="Where"
          maxLength={80}
          value={place}
          onChange={(event) => setPlace(event.currentTarget.value)}
          error={at('/place')}
        />
        {kind === 'nick' && <FirstAid aid={aid} by={aidBy} onAid={setAid} onBy={setAidBy} at={at} />}
        <p className="quiet">
          The site’s own reporting rules come first: report as they ask, and write it down here too.
        </p>
        {save.error && !problem && <Trouble error={save.error} />}
        <Button type="submit" loading={save.isPending}>
          Write it down
        </Button>
      </form>
    </Modal>
  );
}

interface FirstAidProps {
  aid: string;
  by: string;
  onAid: (aid: string) => void;
  onBy: (by: string) => void;
  /** What is wrong at a field. */
  at: (field: string) => string | undefined;
}

/** What was done for somebody who was cut, and who did it. */
function FirstAid({ aid, by, onAid, onBy, at }: FirstAidProps) {
  return (
    <>
      <TextInput
        label="First aid given"
        maxLength={200}
        value={aid}
        onChange={(event) => onAid(event.currentTarget.value)}
        error={at('/first_aid')}
      />
      <TextInput
        label="By whom"
        maxLength={60}
        value={by}
        onChange={(event) => onBy(event.currentTarget.value)}
        error={at('/aid_by')}
      />
    </>
  );
}
