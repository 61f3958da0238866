import { useEffect, useState, type RefObject } from 'react';

/**
 * The width of an element and the fine type size in pixels, so that drawings keep readable type at any size.
 *
 * @param expected the width that is drawn with until it is known
 */
export function useSize(ref: RefObject<HTMLElement | null>, expected = 300) {
  const [size, setSize] = useState({ width: expected, type: 12 });
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
