export type Place = 'rack' | 'playbook' | 'bench' | 'plan' | 'class' | 'yard' | 'about';

const paths: Record<Place, string> = {
  rack: 'M2 4h20M6 4v12l-2-3V4M12 4v15c-2-2-3-5-3-8V4M18 4v11h-3V4',
  playbook: 'M3 4h18v16H3zM3 9.5h18M3 15h18M9 4v16M15 4v16',
  bench: 'M12 3a9 9 0 1 0 .01 0zM7.5 7.5h9v9h-9zM12 7.5v9M7.5 12h9',
  plan: 'M1 8h22v9H1zM5 8v4M9 8v6M13 8v4M17 8v6M21 8v3',
  class: 'M3 3h7v7H3zM14 3h7v7h-7zM3 14h7v7H3zM14 14h7v7h-7z',
  yard: 'M2 5h20M5 5l3 4 3-4M2 12h20M5 12l3 4 3-4M12 12l3 4 3-4M2 19h20M5 19l2 3 3-3',
  about: 'M12 3a9 9 0 1 0 .01 0zM12 11v6M12 7v1.4',
};

export function Icon({ place }: { place: Place }) {
  return (
    <svg
      width="26"
      height="24"
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={paths[place]} />
    </svg>
  );
}
