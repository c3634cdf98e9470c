import { ActionIcon, Button, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { useDisclosure, useHotkeys } from '@mantine/hooks';
import { lazy, Suspense } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import type { Api } from '../../api/client';
import { useAbout, useCopies, useCourse } from '../../api/queries';
import { useLeaveMadeUp } from '../../api/session';
import { useSlow } from '../../api/waiting';
import { useUnit } from '../../shared/format';
import { Boundary } from '../../shared/Boundary';
import { Mark } from '../../shared/mark';
import { Failed, Loading } from '../../shared/State';
import { CourseButton } from './CourseButton';
import { CourseRule } from './CourseRule';
import styles from './Frame.module.css';
import { Icon } from './Icon';
import { Lines } from './Lines';
import { useLive } from '../../api/live';
import { useSending } from '../../api/touches/useSending';
import { useRoom } from './useRoom';
import type { Place } from './Icon';

const CourseMenu = lazy(() => import('./CourseMenu'));
const Find = lazy(() => import('./Find'));
const Keys = lazy(() => import('./Keys'));

const PLACES: { place: Place; name: string; key: string }[] = [
  { place: 'rack', name: 'Rack', key: 'r' },
  { place: 'playbook', name: 'Playbook', key: 'b' },
  { place: 'bench', name: 'Bench', key: 'e' },
  { place: 'plan', name: 'Plan', key: 'p' },
  { place: 'class', name: 'Class', key: 'c' },
  { place: 'yard', name: 'Yard', key: 'y' },
];

/** The course and lesson in hand: both are part of the address. */
export function useHere() {
  const { courseId, lessonId } = useParams();
  const course = useCourse(Number(courseId));
  const lessons = course.data?.lessons ?? [];
  const current = lessons.find((l) => l.when === 'next') ?? lessons.at(-1);
  const lesson = lessonId ? lessons.find((l) => l.id === Number(lessonId)) : current;
  return { courseId: Number(courseId), course, lesson, asked: lessonId ? Number(lessonId) : undefined };
}

/** Where a place is, with the lesson in hand where the place has one. */
function toPlace(courseId: number, place: Place, lesson: Api['LessonPlace'] | undefined): string {
  const ofLesson = place === 'plan' || place === 'class';
  return `/courses/${courseId}/${place}${ofLesson && lesson ? `/${lesson.id}` : ''}`;
}

/** Top, left edge, and the place itself. */
export function Frame() {
  const { courseId, course, lesson } = useHere();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const slow = useSlow();
  useRoom(course.data, lesson);
  useSending();
  useLive();
  const [finding, find] = useDisclosure();
  const [keysShown, keys] = useDisclosure();
  const [unit, setUnit] = useUnit();
  useHotkeys([
    ['i', () => setUnit(unit === 'mm' ? 'in' : 'mm')],
    ['/', find.open],
    ['shift+?', keys.open, { usePhysicalKeys: false }],
    ['?', keys.open],
    ...PLACES.map(({ place, key }): [string, () => void] => [
      key,
      () => void navigate(toPlace(courseId, place, lesson)),
    ]),
  ]);
  if (!course.data)
    return course.isError ? <Failed error={course.error} again={() => void course.refetch()} /> : <Loading />;
  return (
    <div className={styles.frame}>
      <a className={styles.skip} href="#place">
        To the content
      </a>
      <Top view={course.data} lesson={lesson} onFind={find.open} onKeys={keys.open} />
      <nav className={styles.places} aria-label="Places">
        {PLACES.map(({ place, name }) => (
          <NavLink key={place} to={toPlace(courseId, place, lesson)} className={styles.place}>
            <Icon place={place} />
            {name}
          </NavLink>
        ))}
        <NavLink to={`/courses/${courseId}/about`} className={`${styles.place} ${styles.about}`}>
          <Icon place="about" />
          About
        </NavLink>
      </nav>
      <div className={styles.right}>
        <Lines zone={course.data.course.time_zone} />
        <div className={styles.work} id="place" tabIndex={-1}>
          <Boundary at={pathname}>
            <Suspense fallback={<Loading />}>
              <Outlet />
            </Suspense>
          </Boundary>
        </div>
      </div>
      {slow && (
        <p className={`chip ${styles.slow}`} data-kind="todo" role="status">
          The program is slow to answer. What you typed is kept.
        </p>
      )}
      <Suspense fallback={null}>
        {finding && <Find view={course.data} close={find.close} />}
        {keysShown && <Keys close={keys.close} />}
      </Suspense>
    </div>
  );
}

interface TopProps {
  view: Api['CourseView'];
  lesson: Api['LessonPlace'] | undefined;
  onFind: () => void;
  onKeys: () => void;
}

function Top({ view, lesson, onFind, onKeys }: TopProps) {
  const about = useAbout();
  const copies = useCopies();
  const [unit, setUnit] = useUnit();
  const leave = useLeaveMadeUp();
  useHotkeys([['x', () => void (about.data?.beside_own && leave())]]);
  const { setColorScheme } = useMantineColorScheme();
  const dim = useComputedColorScheme('light') === 'dark';
  return (
    <header className={styles.top}>
      <Link to="/" className={styles.brand}>
        <svg width="30" height="20" viewBox="0 0 30 20" aria-hidden>
          <rect x="0.5" y="3.5" width="29" height="14" fill="var(--beech)" stroke="var(--beech-edge)" />
          <path d="M8 3.5h14l-7 9z" fill="var(--wood-deep)" stroke="var(--beech-ink)" strokeWidth="1.4" />
        </svg>
        <span>Yard Notch</span>
      </Link>
      <Suspense fallback={<CourseButton view={view} />}>
        <CourseMenu view={view} />
      </Suspense>
      <CourseRule view={view} lesson={lesson} />
      <div className={styles.tools}>
        {about.data?.beside_own ? (
          <Button variant="default" onClick={leave} aria-keyshortcuts="x" className={styles.leave}>
            Made-up school: leave&nbsp;<kbd>x</kbd>
          </Button>
        ) : (
          about.data?.demo && <span className={styles.demo}>Demo</span>
        )}
        {copies.data?.state.caution && (
          <Link to={`/courses/${view.course.id}/about`} className="chip" data-kind="caution">
            <Mark kind="caution" /> No fresh copy
          </Link>
        )}
        <Who who={about.data?.who} to={`/courses/${view.course.id}/staff`} />
        <Button
          variant="default"
          onClick={onFind}
          aria-label="Find or do"
          className={styles.find}
          rightSection={<kbd>/</kbd>}
        >
          Find<span className={styles.orDo}>&nbsp;or do…</span>
        </Button>
        <Button
          variant="subtle"
          color="gray"
          c="var(--ink)"
          px={8}
          onClick={() => setUnit(unit === 'mm' ? 'in' : 'mm')}
          aria-label={unit === 'mm' ? 'mm: show lengths in inches' : 'inch: show lengths in millimetres'}
        >
          {unit === 'mm' ? 'mm' : 'inch'}
        </Button>
        <Button
          variant="subtle"
          color="gray"
          c="var(--ink)"
          px={8}
          onClick={() => setColorScheme(dim ? 'light' : 'dark')}
          aria-label={`${dim ? 'Evening' : 'Day'} light; change`}
        >
          {dim ? 'Evening' : 'Day'}
        </Button>
        <ActionIcon variant="subtle" color="gray" c="var(--ink)" size={36} onClick={onKeys} aria-label="Keys">
          ?
        </ActionIcon>
      </div>
    </header>
  );
}

/** Who is at this device; on a phone by the first letters alone. */
function Who({ who, to }: { who: Api['WhoIsHere'] | null | undefined; to: string }) {
  const initials = (who?.name ?? '').split(/\s+/).map((part) => part.charAt(0));
  return (
    <Link to={to} className={styles.who}>
      <span className={styles.name}>{who?.name || 'Your name?'}</span>
      <span className={styles.initials} aria-hidden>
        {initials.join('').slice(0, 2).toUpperCase() || 'You?'}
      </span>
      {who?.role === 'assistant' && <span className="quiet"> assistant</span>}
    </Link>
  );
}
