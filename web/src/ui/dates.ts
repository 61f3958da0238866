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
