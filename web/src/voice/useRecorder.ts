import { useEffect, useRef, useState } from 'react';
import { postOf } from './pieces';

/** How a recording stands. */
export type Recording =
  { state: 'idle' } | { state: 'asking' } | { state: 'on'; seconds: number } | { state: 'refused'; reason: string };

/** What was recorded so far; `whole` once it is over, with the sound itself. */
export interface Recorded {
  recording: string;
  seconds: number;
  pieces: number;
  whole?: Blob;
}

const PIECE = 3000;
const BITS_A_SECOND = 32_000;
/** What was spoken is noted in the notebook with every so many pieces, so that a page that dies loses no more. */
const NOTED = 5;
const MEDIA = ['audio/webm;codecs=opus', 'audio/ogg;codecs=opus', 'audio/mp4'];

const CANNOT =
  'This browser, or a connection that isn’t secure, gives no microphone. Write your explanation instead, or ask your' +
  ' teacher.';
const DENIED =
  'The browser was not allowed to use the microphone. Allow it beside the page’s address, then try again, or write.';

const NO_ROOM =
  'This browser keeps nothing on this device just now, so what you speak can’t be kept. Make room or use another' +
  ' window, then speak again, or write.';

/** Records a voice in pieces that are kept on this device and sent as they come. */
export function useRecorder(work: string, block: string, longest: number, onRecorded: (r: Recorded) => void) {
  const [now, setNow] = useState<Recording>({ state: 'idle' });
  const stop = useRef<() => void>(() => undefined);
  const told = useRef(onRecorded);
  useEffect(() => {
    told.current = onRecorded;
  });
  useEffect(() => () => stop.current(), []);

  const start = async () => {
    const media = 'MediaRecorder' in window ? MEDIA.find((m) => MediaRecorder.isTypeSupported(m)) : undefined;
    // Missing on a page that came without TLS.
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (!media || !devices) return setNow({ state: 'refused', reason: CANNOT });
    setNow({ state: 'asking' });
    let stream: MediaStream;
    try {
      stream = await devices.getUserMedia({ audio: true });
    } catch {
      return setNow({ state: 'refused', reason: DENIED });
    }
    const recording = crypto.randomUUID();
    const recorder = new MediaRecorder(stream, { mimeType: media, audioBitsPerSecond: BITS_A_SECOND });
    const pieces: Blob[] = [];
    const begun = performance.now();
    const seconds = () => Math.min(longest, (performance.now() - begun) / 1000);
    let keeping = Promise.resolve();
    recorder.ondataavailable = ({ data }) => {
      if (data.size === 0) return;
      const number = pieces.push(data) - 1;
      const length = seconds();
      keeping = keeping
        .then(async () => postOf(work).add({ block, voice: recording, number, data: await data.arrayBuffer() }))
        .then(() => {
          if (number % NOTED === 0 && recorder.state === 'recording')
            told.current({ recording, seconds: length, pieces: number + 1 });
        });
      // What can't be kept isn't worth speaking on.
      keeping.catch(() => stop.current());
    };
    const clock = setInterval(() => {
      setNow({ state: 'on', seconds: seconds() });
      if (seconds() >= longest) stop.current();
    }, 250);
    recorder.onstop = () => {
      clearInterval(clock);
      stream.getTracks().forEach((t) => t.stop());
      const length = seconds();
      keeping.then(
        () => {
          told.current({ recording, seconds: length, pieces: pieces.length, whole: new Blob(pieces, { type: media }) });
          setNow({ state: 'idle' });
        },
        () => setNow({ state: 'refused', reason: NO_ROOM }),
      );
    };
    stop.current = () => {
      if (recorder.state !== 'inactive') recorder.stop();
    };
    recorder.start(PIECE);
    setNow({ state: 'on', seconds: 0 });
  };
  return { now, start: () => void start(), stop: () => stop.current() };
}
