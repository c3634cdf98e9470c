import { Button, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import { useReadKnifeList } from '../../api/queries';
import { KnifeItems } from '../../shared/KnifeItems';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { useTakeKnifeList } from './changes';

/** Knives as they are said, numbered by themselves. */
export function ByCount() {
  const [text, setText] = useState('');
  const [asked] = useDebouncedValue(text, 120);
  const read = useReadKnifeList(asked);
  const take = useTakeKnifeList(() => setText(''));
  const list = asked.trim() === '' ? undefined : read.data;
  const stale = asked !== text || read.isFetching;
  return (
    <form
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        if (list && list.sound > 0 && !stale) take.mutate({ text, skip_wrong: list.wrong > 0 });
      }}
    >
      <TextInput
        label="By count"
        description="a number, a type, a length; numbers on the handles go on from those that are there"
        placeholder="6 chef's 200, 4 paring 90, 1 bread"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
      />
      <div className="tight" aria-live="polite">
        {list && <KnifeItems list={list} />}
        {take.data && text === '' && (
          <span role="status">
            <Mark kind="held" /> {take.data.added === 1 ? '1 knife is' : `${take.data.added} knives are`} on
            the rack.
          </span>
        )}
      </div>
      {read.error && asked.trim() !== '' && <Trouble error={read.error} />}
      <Button type="submit" disabled={!list || list.sound === 0 || stale} loading={take.isPending}>
        {list && list.sound > 0 ? `Add ${list.sound === 1 ? '1 knife' : `${list.sound} knives`}` : 'Add them'}
      </Button>
      <Trouble error={take.error} />
    </form>
  );
}
