import { Accordion } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useAbout, useCatalogue } from '../../api/queries';
import { Failed, Loading } from '../../shared/State';
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

function LicenceText({ texts, index }: { texts: string[]; index: number | null }) {
  const text = index === null ? undefined : texts[index];
  return (
    <pre style={{ whiteSpace: 'pre-wrap', fontSize: 13, margin: 0 }}>
      {text ?? 'The package ships no licence text; its licence is named above.'}
    </pre>
  );
}
