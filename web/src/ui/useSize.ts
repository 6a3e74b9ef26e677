import { useEffect, useRef, useState } from "react";

/** The size an element has on the screen, in px, so that drawings keep their letters legible. */
export function useSize<T extends HTMLElement>(first: { width: number; height: number }) {
  const ref = useRef<T>(null);
  const [size, setSize] = useState(first);
  useEffect(() => {
    const element = ref.current;
    if (!element) {
      return;
    }
    const observer = new ResizeObserver(() =>
      setSize({ width: element.clientWidth, height: element.clientHeight }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size] as const;
}
