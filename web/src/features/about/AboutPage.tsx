import { Accordion } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useAbout, useCatalogue } from '../../api/queries';
import { Failed, Loading } from '../../shared/State';
import { useWorker } from '../../api/worker';
import { Mark } from '../../shared/mark';
import { Copies } from './Copies';

interface Part {
  name: string;
  version: string;
  licence: string;
  text: number | null;
}

interface Licences {
  parts: Part[];
  texts: string[];
}

/** What this is, how far its advice goes, and whose work ships with it. */
export default function AboutPage() {
  const about = useAbout();
  const catalogue = useCatalogue();
  const licences = useQuery({
    queryKey: ['licences'],
    queryFn: async () => (await import('../../about/licences.gen.json')).default as Licences,
    staleTime: Infinity,
  });
  if (licences.isError) return <Failed error={licences.error} again={() => void licences.refetch()} />;
  if (!about.data || !licences.data) return <Loading />;
  return (
    <main className="stack" style={{ padding: 24, overflowY: 'auto', flex: 1 }}>
      <h1>Yard Notch {about.data.version}</h1>
      <p style={{ maxWidth: 680 }}>
        For people who teach knife skills: plan lessons, run the class, measure, follow each student.
        Everything is kept on this machine; the program asks nothing of any other.
      </p>
      <p style={{ maxWidth: 680 }}>{catalogue.data?.disclaimer}</p>
      <p style={{ maxWidth: 680 }}>{catalogue.data?.first_aid}</p>
      <Copies zone={about.data.time_zone} />
      <ul style={{ maxWidth: 680, margin: 0, paddingLeft: 20, listStyle: 'disc', display: 'grid', gap: 4 }}>
        <li>
          <code>yard-notch backup FILE</code> makes a checked copy wherever you like, in the middle of a class
          too.
        </li>
        <li>
          <code>yard-notch export school.json</code> writes all of it as one document, without passphrases.
        </li>
        <li>
          <code>yard-notch check --data FOLDER</code> says whether a school is sound and whole.
        </li>
      </ul>
      <Devices about={about.data} />
      <p>
        <Link to="../staff">Who works here</Link>: names, signing in, and what was changed by whom.
      </p>
      <h2>Licences</h2>
      <p>
        Our own code: {about.data.licence}. The {licences.data.parts.length} packages and fonts that ship with
        it:
      </p>
      <Accordion variant="contained" style={{ maxWidth: 760 }} order={3}>
        {licences.data.parts.map((part) => (
          <Accordion.Item key={`${part.name} ${part.version}`} value={`${part.name} ${part.version}`}>
            <Accordion.Control>
              {part.name} {part.version} · <span className="quiet">{part.licence}</span>
            </Accordion.Control>
            <Accordion.Panel>
              <LicenceText texts={licences.data.texts} index={part.text} />
            </Accordion.Panel>
          </Accordion.Item>
        ))}
      </Accordion>
    </main>
  );
}

/** How the tablets of the room get here, and what will not work the way they do. */
function Devices({ about }: { about: Api['About'] }) {
  const { keeps } = useWorker();
  return (
    <section className="tight" style={{ maxWidth: 680 }} aria-label="Other devices">
      <h2>Other devices</h2>
      {about.loopback ? (
        <p>
          The program listens to this machine only. <a href="/trust">How the tablets of the room get in</a>
        </p>
      ) : (
        <p>
          <a href="/trust">The address as a code, and what each device does once</a>: a sheet for the wall.
        </p>
      )}
      {about.secure ? (
        <p className="quiet">
          {keeps
            ? 'This page is kept on this device: it opens again without a network, with what the lesson needs, for a day.'
            : 'This device has not kept the page yet: it does so a moment after the page was open for the first time.'}
        </p>
      ) : (
        <p>
          <Mark kind="caution" label /> The way to the program is plain HTTP. This page will not open again
          when the Wi-Fi fails, and whoever is on the same Wi-Fi can read along. Start the program with{' '}
          <code>--tls</code>.
        </p>
      )}
    </section>
  );
}

function LicenceText({ texts, index }: { texts: string[]; index: number | null }) {
  const text = index === null ? undefined : texts[index];
  return (
    <pre style={{ whiteSpace: 'pre-wrap', fontSize: 13, margin: 0 }}>
      {text ?? 'The package ships no licence text; its licence is named above.'}
    </pre>
  );
}
