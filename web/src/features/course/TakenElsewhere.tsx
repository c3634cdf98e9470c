import { Button, CopyButton } from '@mantine/core';
import { useCalendarAddress } from '../../api/queries';
import { useShareCalendar } from './changes';
import { inSchool } from '../../shared/school';

/** The course as a file; its lessons as a calendar, or as an address to subscribe to until it is taken back. */
export function TakenElsewhere({ courseId }: { courseId: number }) {
  const address = useCalendarAddress(courseId);
  const share = useShareCalendar(courseId);
  const path = address.data?.path;
  const url = path ? `${window.location.origin}${inSchool(path)}` : undefined;
  return (
    <div className="tight" style={{ maxWidth: 760 }}>
      <div className="row">
        <Button
          variant="default"
          component="a"
          href={inSchool(`/api/courses/${courseId}/file`)}
          download="course.json"
        >
          Save the course as a file
        </Button>
        <Button
          variant="default"
          component="a"
          href={inSchool(`/api/courses/${courseId}/calendar`)}
          download="lessons.ics"
        >
          Save the lessons as a calendar
        </Button>
        {url ? (
          <>
            <CopyButton value={url}>
              {({ copied, copy }) => (
                <Button variant="default" onClick={copy}>
                  {copied ? 'Copied' : 'Copy the address'}
                </Button>
              )}
            </CopyButton>
            <Button variant="default" loading={share.isPending} onClick={() => share.mutate(false)}>
              Take it back
            </Button>
          </>
        ) : (
          <Button variant="default" loading={share.isPending} onClick={() => share.mutate(true)}>
            Make an address to subscribe to
          </Button>
        )}
      </div>
      {url && (
        <p className="quiet" style={{ overflowWrap: 'anywhere' }}>
          {url} – who has it reads titles and times of the lessons without signing in.
        </p>
      )}
    </div>
  );
}
