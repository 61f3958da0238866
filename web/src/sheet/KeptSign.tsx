import { timeOfDay } from '../ui/dates';
import type { Keeping } from '../notebook/journal';

/** The truth about where the data are. */
export function KeptSign({ keeping }: { keeping: Keeping }) {
  const [color, text] =
    keeping.state === 'kept'
      ? ['text-verdigris', keeping.at ? `Kept, ${timeOfDay(keeping.at)}` : 'All kept']
      : keeping.state === 'sending'
        ? ['text-soft', 'Keeping …']
        : keeping.state === 'device'
          ? ['text-ochre', `Kept on this device; ${keeping.waiting} waiting for the network`]
          : [
              'text-copper',
              `Trouble: ${keeping.reason} ${keeping.waiting} ` +
                `${keeping.waiting === 1 ? 'entry is' : 'entries are'} safe on this device.`,
            ];
  return (
    <p
      role="status"
      data-keeping={keeping.state}
      className={
        `${keeping.state === 'trouble' ? 'max-w-72' : 'max-w-44'} text-right text-fine ` +
        `leading-tight font-semibold ${color}`
      }
    >
      {text}
    </p>
  );
}
