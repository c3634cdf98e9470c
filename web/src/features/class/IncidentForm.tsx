import { Button, Modal, SegmentedControl, Select, Textarea } from '@mantine/core';
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
  const save = useWriteIncident(view.lesson.id, close);
  const problem = save.error instanceof ApiProblem ? save.error.at('/words') : undefined;
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
          save.mutate({ kind, words, student_id: who ? Number(who) : null });
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
          error={problem}
        />
        {save.error && !problem && <Trouble error={save.error} />}
        <Button type="submit" loading={save.isPending}>
          Write it down
        </Button>
      </form>
    </Modal>
  );
}
