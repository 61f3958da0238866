import { Mic, Square, Trash2 } from 'lucide-react';
import { useState, useSyncExternalStore } from 'react';
import { Button } from '../ui';
import { length, Player, type Spoken } from './Player';
import { postOf } from './pieces';
import { useRecorder } from './useRecorder';

interface Props {
  work: string;
  block: string;
  /** Seconds that one may speak. */
  longest: number;
  spoken: Spoken | undefined;
  readOnly: boolean;
  onSpoken: (spoken: Spoken) => void;
}

/** An explanation that may be spoken: recorded, heard, done again, or taken away. */
export function Speak({ work, block, longest, spoken, readOnly, onSpoken }: Props) {
  const [whole, setWhole] = useState<{ recording: string; sound: Blob } | null>(null);
  const { now, start, stop } = useRecorder(work, block, longest, ({ whole: sound, ...made }) => {
    if (sound) setWhole({ recording: made.recording, sound });
    onSpoken(made);
  });
  const post = postOf(work);
  const waiting = useSyncExternalStore(post.subscribe, post.now);
  const has = spoken && spoken.recording !== '';
  if (readOnly) return has ? <Player work={work} spoken={spoken} /> : null;
  return (
    <div className="flex flex-col gap-2 rounded-house border px-3 py-2.5" role="group" aria-label="Spoken explanation">
      {now.state === 'on' ? (
        <div className="flex flex-wrap items-center gap-3">
          <Button kind="main" onClick={stop}>
            <Square size={14} aria-hidden className="fill-current" />
            Stop
          </Button>
          <span role="timer" className="mono font-semibold text-copper">
            {length(now.seconds)}
          </span>
          <span className="text-fine text-soft">of at most {length(longest)}</span>
          <span className="h-2 w-full overflow-hidden rounded-full bg-line" aria-hidden>
            <span className="block h-full bg-copper" style={{ width: `${(100 * now.seconds) / longest}%` }} />
          </span>
        </div>
      ) : (
        <>
          {has && <Player key={spoken.recording} work={work} spoken={spoken} whole={soundOf(whole, spoken)} />}
          <div className="flex flex-wrap items-center gap-2">
            <Button disabled={now.state === 'asking'} onClick={start}>
              <Mic size={15} aria-hidden />
              {now.state === 'asking' ? 'Waiting for the microphone …' : has ? 'Speak again' : 'Speak instead'}
            </Button>
            {has && (
              <Button kind="quiet" onClick={() => onSpoken({ recording: '', seconds: 0, pieces: 0 })}>
                <Trash2 size={15} aria-hidden />
                Take it away
              </Button>
            )}
            {!has && (
              <span className="text-fine text-soft">up to {length(longest)}; only your teacher can hear it</span>
            )}
          </div>
        </>
      )}
      {now.state === 'refused' && (
        <p role="alert" className="text-fine text-copper">
          {now.reason}
        </p>
      )}
      {waiting.trouble ? (
        <p role="alert" className="text-fine text-copper">
          {waiting.trouble} What you spoke is still on this device.
        </p>
      ) : (
        waiting.pieces > 0 &&
        now.state !== 'on' && (
          <p role="status" className="text-fine text-soft">
            {waiting.pieces} {waiting.pieces === 1 ? 'piece is' : 'pieces are'} kept on this device and sent as soon as
            the network lets them through.
          </p>
        )
      )}
    </div>
  );
}

/** The sound that was just recorded, where it is this one. */
function soundOf(whole: { recording: string; sound: Blob } | null, spoken: Spoken) {
  return whole?.recording === spoken.recording ? whole.sound : undefined;
}
