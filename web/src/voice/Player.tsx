import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask } from '../api/client';
import { Button, Trouble } from '../ui';

/** What a slot says of what was spoken. */
export interface Spoken {
  recording: string;
  seconds: number;
  pieces: number;
}

export const length = (seconds: number) => {
  const whole = Math.max(0, Math.floor(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};

/** Plays what was spoken; fetched when somebody wants to hear it, or at hand right after it was spoken. */
export function Player({ work, spoken, whole }: { work: string; spoken: Spoken; whole?: Blob }) {
  const [wanted, setWanted] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['voice', work, spoken.recording, spoken.pieces],
    enabled: wanted && !whole,
    retry: false,
    gcTime: 0,
    queryFn: async () => {
      const call = await api.GET('/api/works/{workId}/voices/{voiceId}', {
        params: { path: { workId: work, voiceId: spoken.recording } },
        parseAs: 'blob',
      });
      const sound = await ask(Promise.resolve(call));
      return { sound: sound as unknown as Blob, pieces: Number(call.response.headers.get('Pieces')) };
    },
  });
  const sound = whole ?? data?.sound;
  if (!sound)
    return (
      <div className="flex flex-col gap-1">
        <Button disabled={wanted && !error} onClick={() => setWanted(true)} className="self-start">
          {wanted && !error ? 'Fetching it …' : `Hear it, ${length(spoken.seconds)}`}
        </Button>
        <Trouble error={error} />
      </div>
    );
  return (
    <div className="flex flex-col gap-1">
      <Sound sound={sound} autoPlay={!whole} />
      {data && data.pieces < spoken.pieces && (
        <p className="text-fine text-copper">
          {data.pieces} of {spoken.pieces} pieces have come; the rest is still on the student’s device.
        </p>
      )}
    </div>
  );
}

function Sound({ sound, autoPlay }: { sound: Blob; autoPlay: boolean }) {
  const [address, setAddress] = useState('');
  useEffect(() => {
    const made = URL.createObjectURL(sound);
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [sound]);
  if (!address) return null;
  return <audio controls autoPlay={autoPlay} src={address} className="h-10 w-full" aria-label="What was spoken" />;
}
