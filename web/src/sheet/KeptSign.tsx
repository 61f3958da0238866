import type { ReactNode } from 'react';
import type { Keeping } from '../notebook/journal';
import { timeOfDay } from '../ui/dates';

/** The truth about where the data are. */
export function KeptSign({ keeping }: { keeping: Keeping }) {
  const [color, said] = words(keeping);
  return (
    <p
      role="status"
      data-keeping={keeping.state}
      className={
        `${keeping.state === 'trouble' ? 'max-w-56' : 'max-w-44'} text-right text-fine ` +
        `leading-tight font-semibold ${color}`
      }
    >
      {said}
    </p>
  );
}

function words(keeping: Keeping): [color: string, said: ReactNode] {
  switch (keeping.state) {
    case 'kept':
      return ['text-verdigris', keeping.at ? `Kept, ${timeOfDay(keeping.at)}` : 'All kept'];
    case 'sending':
      return ['text-soft', 'Keeping …'];
    case 'device':
      return ['text-ochre', `Kept on this device; ${keeping.waiting} waiting for the network`];
    default: {
      const safe = `${keeping.waiting} ${keeping.waiting === 1 ? 'entry is' : 'entries are'} safe on this device.`;
      if (!keeping.signedOut) return ['text-copper', `Trouble: ${keeping.reason} ${safe}`];
      return [
        'text-copper',
        <>
          You are signed out.{' '}
          {/* The page anew: it asks who is there, and comes back to this work with what the device holds. */}
          <a href={location.pathname} className="underline">
            Sign in
          </a>{' '}
          to go on. {safe}
        </>,
      ];
    }
  }
}
