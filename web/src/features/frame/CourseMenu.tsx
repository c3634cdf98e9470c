import { Menu } from '@mantine/core';
import { Link, useLocation } from 'react-router';
import type { Api } from '../../api/client';
import { useCourses } from '../../api/queries';
import { CourseButton } from './CourseButton';

/** The other courses, and what belongs to this one. */
export default function CourseMenu({ view }: { view: Api['CourseView'] }) {
  const courses = useCourses();
  const location = useLocation();
  const place = location.pathname.split('/')[3] ?? 'yard';
  return (
    <Menu position="bottom-start">
      <Menu.Target>
        <CourseButton view={view} />
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>Courses</Menu.Label>
        {/* A school of many years has many: what belongs to this one stays in sight. */}
        <div style={{ maxHeight: '50vh', overflowY: 'auto' }}>
          {courses.data?.map((course) => (
            <Menu.Item
              key={course.id}
              component={Link}
              to={`/courses/${course.id}/${place}`}
              aria-current={course.id === view.course.id || undefined}
            >
              {course.name}
            </Menu.Item>
          ))}
        </div>
        <Menu.Divider />
        <Menu.Item component={Link} to={`/courses/${view.course.id}/course`}>
          The whole course…
        </Menu.Item>
        <Menu.Item component={Link} to={`/courses/${view.course.id}/set-up`}>
          Course and students…
        </Menu.Item>
        <Menu.Item component={Link} to="/start">
          New course…
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
