import { Button, SegmentedControl } from '@mantine/core';
import { parseAsStringLiteral, useQueryStates } from 'nuqs';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { usePaper } from '../../api/queries';
import { Failed, Loading } from '../../shared/State';
import { useHere } from '../frame';
import styles from './Paper.module.css';
import { Sheet } from './Sheet';
import { inSchool } from '../../shared/school';

const KINDS: { value: Api['PaperKind']; label: string }[] = [
  { value: 'lesson', label: 'Lesson' },
  { value: 'stations', label: 'Station cards' },
  { value: 'rotation', label: 'Rotation' },
  { value: 'order', label: 'Order' },
  { value: 'count', label: 'Count sheet' },
  { value: 'practice', label: 'Home practice' },
  { value: 'whole', label: 'All of it' },
];
const SIZES: { value: Api['PaperSize']; label: string }[] = [
  { value: 'a4', label: 'A4' },
  { value: 'letter', label: 'Letter' },
];
const wanted = {
  page: parseAsStringLiteral(KINDS.map((kind) => kind.value)).withDefault('lesson'),
  paper: parseAsStringLiteral(SIZES.map((size) => size.value)).withDefault('a4'),
};

/** What hangs on the wall, lies at the stations and goes home: as it is printed, at true size. */
export default function PaperPage() {
  const here = useHere();
  const [{ page, paper }, setWanted] = useQueryStates(wanted);
  const lessonId = here.lesson?.id ?? here.asked;
  const pages = usePaper(lessonId, page, paper);
  if (lessonId === undefined || !pages.data)
    return pages.isError ? <Failed error={pages.error} again={() => void pages.refetch()} /> : <Loading />;
  const query = new URLSearchParams({ page, paper }).toString();
  return (
    <main className={styles.desk} aria-busy={pages.isFetching}>
      <div className={styles.bar}>
        <h1>On paper: {pages.data.title}</h1>
        <SegmentedControl
          aria-label="What is printed"
          data={KINDS}
          value={page}
          onChange={(next) => void setWanted({ page: next as Api['PaperKind'] })}
        />
        <SegmentedControl
          aria-label="Size of the paper"
          data={SIZES}
          value={paper}
          onChange={(next) => void setWanted({ paper: next as Api['PaperSize'] })}
        />
        <Button onClick={() => window.print()}>Print</Button>
        <Button
          variant="default"
          component="a"
          href={inSchool(`/api/lessons/${lessonId}/paper/pdf?${query}`)}
          download={`lesson-${lessonId}-${page}.pdf`}
        >
          As PDF
        </Button>
        <Button variant="default" component={Link} to={`/courses/${here.courseId}/plan/${lessonId}`}>
          The lesson
        </Button>
        <Button variant="default" component={Link} to={`/courses/${here.courseId}/course`}>
          The whole course
        </Button>
        <Button variant="default" component={Link} to={`/courses/${here.courseId}/set-up`}>
          Course and students
        </Button>
      </div>
      <div className={styles.pages}>
        {pages.data.pages.map((each, index) => (
          <figure key={index} className={styles.figure}>
            <Sheet page={each} paper={paper} />
            <figcaption>
              Page {index + 1} of {pages.data.pages.length} ·{' '}
              <a
                href={inSchool(`/api/lessons/${lessonId}/paper/svg?${query}&number=${index + 1}`)}
                download={`lesson-${lessonId}-${page}-${index + 1}.svg`}
              >
                as SVG
              </a>
            </figcaption>
          </figure>
        ))}
      </div>
    </main>
  );
}
