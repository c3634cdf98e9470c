import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { mendingPath } from '../../shared/mending';
import { Said } from '../../shared/Said';
import { useHere } from '../frame';
import styles from './Rotation.module.css';

interface Props {
  way: Api['RotationWay'];
  lessonId: number;
  onNews: (news: Api['RotationFields']) => void;
}

/** Does what frees a rotation or a turn of it, or leads to where that is done. */
export function Way({ way, lessonId, onNews }: Props) {
  const { courseId } = useHere();
  if (way.kind === 'open')
    return (
      <Button
        size="compact-md"
        variant="default"
        component={Link}
        to={mendingPath(way, courseId ?? 0, lessonId)}
      >
        {way.words}
      </Button>
    );
  return (
    <Button
      size="compact-md"
      variant="default"
      classNames={{ root: styles.way, label: styles.wayLabel }}
      onClick={() => onNews(way.fields)}
    >
      <Said>{way.words}</Said>
    </Button>
  );
}
