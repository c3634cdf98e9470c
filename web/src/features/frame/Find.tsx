import { Combobox, Modal, TextInput, useCombobox } from '@mantine/core';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import { useCatalogue, useRack } from '../../api/queries';
import { day } from '../../shared/format';
import styles from './Find.module.css';

interface Found {
  what: string;
  name: string;
  to: string;
}

/** Everything that can be found or done, in plain words. */
function useAll(view: Api['CourseView']): Found[] {
  const rack = useRack();
  const catalogue = useCatalogue();
  return useMemo(() => {
    const base = `/courses/${view.course.id}`;
    const next = view.lessons.find((lesson) => lesson.when === 'next') ?? view.lessons.at(-1);
    return [
      ...(next
        ? [{ what: 'do', name: 'Add an exercise to the next lesson', to: `${base}/plan/${next.id}?add=1` }]
        : []),
      { what: 'do', name: 'Add a knife', to: `${base}/rack?add=1` },
      { what: 'do', name: 'Course and students', to: `${base}/set-up` },
      { what: 'do', name: 'Who works here, and what was changed', to: `${base}/staff` },
      ...view.students.map((s) => ({ what: 'student', name: s.name, to: `${base}/yard?student=${s.id}` })),
      ...view.lessons.map((l) => ({
        what: 'lesson',
        name: `${l.number} · ${l.title} · ${day(l.starts_at)}`,
        to: `${base}/plan/${l.id}`,
      })),
      ...(rack.data?.groups ?? []).flatMap(({ label, knives }) =>
        knives.map(({ knife }) => ({
          what: 'knife',
          name: `${label}, no. ${knife.number}${knife.name ? `, ${knife.name}` : ''}`,
          to: `${base}/rack?knife=${knife.id}`,
        })),
      ),
      ...(catalogue.data?.foods ?? []).map((food) => ({
        what: 'playbook',
        name: `Knives for ${food.name}`,
        to: `${base}/playbook?food=${food.id}`,
      })),
      { what: 'do', name: 'Doctrines of this course', to: `${base}/playbook?view=doctrines` },
      { what: 'do', name: 'The smallest kit', to: `${base}/playbook?view=kit` },
      { what: 'do', name: 'Our own standards, foods and cues', to: `${base}/playbook?view=own` },
      ...(next
        ? [
            { what: 'do', name: 'Check sheet before class', to: `${base}/rack/${next.id}?view=check` },
            { what: 'do', name: 'Count the knives', to: `${base}/rack/${next.id}?view=count` },
          ]
        : []),
      ...(next
        ? (catalogue.data?.foods ?? []).map((food) => ({
            what: 'food',
            name: `Plan with ${food.name}`,
            to: `${base}/plan/${next.id}?add=1&food=${food.id}`,
          }))
        : []),
      ...(next
        ? (catalogue.data?.cuts ?? []).map((cut) => ({
            what: 'cut',
            name: `Plan ${cut.name}`,
            to: `${base}/plan/${next.id}?add=1&cut=${cut.id}`,
          }))
        : []),
    ];
  }, [view, rack.data, catalogue.data]);
}

/** The box that `/` opens. */
export default function Find({ view, close }: { view: Api['CourseView']; close: () => void }) {
  const all = useAll(view);
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const box = useCombobox({ opened: true, onDropdownClose: close });
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all
    .filter((each) => words.every((w) => `${each.name} ${each.what}`.toLowerCase().includes(w)))
    .slice(0, 9);
  // Enter goes to the first that is found, until another is walked to.
  const { selectFirstOption } = box;
  useEffect(() => void selectFirstOption(), [selectFirstOption, text]);
  const go = (to: string) => {
    close();
    void navigate(to);
  };
  return (
    <Modal opened onClose={close} title="Find or do" size="lg" closeButtonProps={{ 'aria-label': 'Close' }}>
      <Combobox store={box} onOptionSubmit={go}>
        <Combobox.EventsTarget>
          <TextInput
            data-autofocus
            role="combobox"
            aria-label="Find or do"
            placeholder="A student, knife, lesson, food or cut"
            value={text}
            onChange={(event) => setText(event.currentTarget.value)}
          />
        </Combobox.EventsTarget>
        <Combobox.Options aria-label="Found" mt={10}>
          {found.map((each) => (
            <Combobox.Option
              key={`${each.what}-${each.to}-${each.name}`}
              value={each.to}
              className={styles.found}
            >
              <span>{each.name}</span>
              <span className="quiet">{each.what}</span>
            </Combobox.Option>
          ))}
          {found.length === 0 && <Combobox.Empty>Nothing of that name in this course.</Combobox.Empty>}
        </Combobox.Options>
      </Combobox>
    </Modal>
  );
}
