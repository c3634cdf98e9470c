import { Button, Menu } from '@mantine/core';
import { Link } from 'react-router';

/** What Class shows in place of the stations. */
export type Shows = 'sharp_dull' | 'ask' | 'closing';

interface Props {
  courseId: number;
  lessonId: number;
  onShow: (shows: Shows) => void;
  onIncident: () => void;
}

/** What is reached from a class now and then, in the order of the evening; what cannot wait stands outside. */
export function Tools({ courseId, lessonId, onShow, onIncident }: Props) {
  const course = `/courses/${courseId}`;
  return (
    <>
      <Button variant="default" h={44} onClick={onIncident}>
        Nick or near-miss…
      </Button>
      <Menu position="bottom-end">
        <Menu.Target>
          <Button variant="default" h={44}>
            More of this class
          </Button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item mih={44} component={Link} to={`${course}/plan/${lessonId}/rotation`}>
            Late or absent…
          </Menu.Item>
          <Menu.Item mih={44} onClick={() => onShow('ask')}>
            Ask me
          </Menu.Item>
          <Menu.Item mih={44} onClick={() => onShow('sharp_dull')}>
            Sharp and dull…
          </Menu.Item>
          <Menu.Item mih={44} component={Link} to={`${course}/wall/${lessonId}`}>
            Wall screen
          </Menu.Item>
          <Menu.Item mih={44} onClick={() => onShow('closing')}>
            Before you close…
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
    </>
  );
}
