import { createContext, type ReactNode, useContext, useLayoutEffect, useRef, useState } from 'react';

/** A rectangle of a drawing, mm. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Millimetres that one screen pixel covers, so that text and handles keep their size on screen. */
const Scale = createContext(1);

/** Converts screen pixels into the sheet's millimetres. */
export function useMmPerPx(): number {
  return useContext(Scale);
}

interface SheetProps {
  readonly box: Box;
  /** What the drawing shows, in words. */
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A drawing in true millimetres that fits its place on the page. */
export function Sheet({ box, label, className, children }: SheetProps) {
  const svg = useRef<SVGSVGElement>(null);
  const [place, setPlace] = useState<{ readonly width: number; readonly height: number }>();
  // Measured when the place changes and not when what is drawn does: asking forces a layout, and a handle moves the box.
  useLayoutEffect(() => {
    const element = svg.current;
    if (!element) return;
    const measure = () => {
      const { width, height } = element.getBoundingClientRect();
      if (width > 0 && height > 0) setPlace((was) => (was?.width === width && was.height === height ? was : { width, height }));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const mmPerPx = place ? Math.max(box.width / place.width, box.height / place.height) : 1;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing with handles in it is a group, and no fieldset.
    <svg ref={svg} className={className} viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`} role="group" aria-label={label}>
      <Scale value={mmPerPx}>{children}</Scale>
    </svg>
  );
}
