import { useEffect, useState } from 'react';
import type { Sheet } from '../core';
import { fitsAhead } from '../graph/fitsAhead';
import { dialogsAhead } from '../notebook/TableDialogs';
import { fetchAhead, whenIdle } from '../ui/whenIdle';
import { sendVoices } from './voices';

/**
 * Whether a lab can be worked with, so that more may be fetched: what a student may ask for later, as then the network
 * may be gone, and what links the page to the other side. Whoever asks is drawn anew when it comes true, so the page as
 * a whole had better not.
 */
export function useOpened(sheet: Sheet, work: string, writing: boolean) {
  const [opened, setOpened] = useState(false);
  useEffect(
    () =>
      whenIdle(() => {
        performance.mark('opened');
        setOpened(true);
        fetchAhead([...dialogsAhead, ...fitsAhead]);
      }),
    [],
  );
  useEffect(() => {
    if (opened && writing) void sendVoices(sheet, work);
  }, [opened, writing, sheet, work]);
  return opened;
}
