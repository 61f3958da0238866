const day = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

export const dayAndTime = (iso: string) => day.format(new Date(iso));
export const timeOfDay = (date: Date) => clock.format(date);
export const isPast = (iso: string) => new Date(iso).getTime() < Date.now();

const apart = new Intl.RelativeTimeFormat('en-GB', { numeric: 'always' });
const UNITS: [Intl.RelativeTimeFormatUnit, number, number][] = [
  ['minute', 60_000, 90],
  ['hour', 3_600_000, 36],
  ['day', 86_400_000, 21],
  ['week', 7 * 86_400_000, Infinity],
];

/** How far a time is away in words: in 3 days, 2 hours ago. */
export function howFar(iso: string, now = Date.now()): string {
  const away = new Date(iso).getTime() - now;
  const [unit, long] = UNITS.find(([, size, most]) => Math.abs(away) < size * most)!;
  // An hour that isn't whole is none any more; days are told as people count them.
  return apart.format((long < 86_400_000 ? Math.trunc : Math.round)(away / long), unit);
}
