import { useQuery } from '@tanstack/react-query';
import { answer, ask } from '../../api/client';
import { useAbout } from '../../api/queries';
import { Failed, Loading } from '../../shared/State';
import { Changes } from './Changes';
import { Devices } from './Devices';
import { People } from './People';
import styles from './Staff.module.css';
import { You } from './You';

/**
 * For the head instructor before the term, who lets somebody in and decides what that person may change; for
 * whoever comes to a shared tablet and must be there under the own name; and the day after, to see who changed what.
 */
export default function StaffPage() {
  const about = useAbout();
  const staff = useQuery({ queryKey: ['staff'], queryFn: () => answer(ask.GET('/api/staff')) });
  if (!about.data?.who || !staff.data)
    return staff.isError ? <Failed error={staff.error} again={() => void staff.refetch()} /> : <Loading />;
  const leads = about.data.who.role === 'instructor';
  return (
    <main className={styles.page}>
      <h1>Who works here</h1>
      <div className={styles.column}>
        <You who={about.data.who} signsIn={staff.data.signs_in} />
        {staff.data.signs_in && <People people={staff.data.people} leads={leads} />}
        {staff.data.signs_in && <Devices sessions={staff.data.sessions} zone={about.data.time_zone} />}
      </div>
      {leads && <Changes people={staff.data.people} zone={about.data.time_zone} />}
    </main>
  );
}
