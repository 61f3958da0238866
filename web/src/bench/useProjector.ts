import { useCallback, useEffect, useState } from 'react';

/** Dark theme, larger type, full screen; leaving full screen leaves it. */
export function useProjector() {
  const [on, setOn] = useState(false);
  useEffect(() => {
    const left = () => {
      if (!document.fullscreenElement) setOn(false);
    };
    document.addEventListener('fullscreenchange', left);
    return () => document.removeEventListener('fullscreenchange', left);
  }, []);
  useEffect(() => {
    // Menus and dialogs hang outside the bench, and rem is the root's: the theme goes there too.
    if (on) document.documentElement.dataset.theme = 'projector';
    else delete document.documentElement.dataset.theme;
    return () => {
      delete document.documentElement.dataset.theme;
    };
  }, [on]);
  const toggle = useCallback(() => {
    if (on) {
      setOn(false);
      if (document.fullscreenElement) void document.exitFullscreen();
    } else {
      setOn(true);
      // Where full screen isn't allowed, the larger dark view still serves.
      document.documentElement.requestFullscreen?.().catch(() => undefined);
    }
  }, [on]);
  return { on, toggle };
}
