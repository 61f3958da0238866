import { useEffect, useState, type RefObject } from 'react';

/** The width of an element and the fine type size in pixels, so that drawings keep readable type at any size. */
export function useSize(ref: RefObject<HTMLElement | null>) {
  const [size, setSize] = useState({ width: 300, type: 12 });
  useEffect(() => {
    const observer = new ResizeObserver(([e]) =>
      setSize({
        width: Math.max(160, e.contentRect.width),
        type: 0.75 * parseFloat(getComputedStyle(document.documentElement).fontSize),
      }),
    );
    observer.observe(ref.current!);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
