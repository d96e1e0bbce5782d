import { useCallback, useEffect, useMemo, useRef } from 'react';

/** Draws a picture anew: on what, and how large it is, in px of the page. */
export type Paint = (g: CanvasRenderingContext2D, width: number, height: number) => void;

/** A picture that is drawn many times a second, past React. */
export interface Easel {
  hold: (node: HTMLCanvasElement | null) => (() => void) | undefined;
  draw: () => void;
}

/** A canvas that follows its own size, and draws what it is told at once and when it is asked to. */
export function useEasel(paint: Paint): Easel {
  const canvas = useRef<HTMLCanvasElement>(null);
  const painter = useRef(paint);
  const draw = useCallback(() => {
    const node = canvas.current;
    const g = node?.getContext('2d');
    if (!node || !g) return;
    const { clientWidth: width, clientHeight: height } = node;
    const dense = window.devicePixelRatio || 1;
    g.setTransform(dense, 0, 0, dense, 0, 0);
    g.clearRect(0, 0, width, height);
    painter.current(g, width, height);
  }, []);
  const hold = useCallback(
    (node: HTMLCanvasElement | null) => {
      canvas.current = node;
      if (!node) return undefined;
      const fit = () => {
        const dense = window.devicePixelRatio || 1;
        node.width = Math.round(node.clientWidth * dense);
        node.height = Math.round(node.clientHeight * dense);
        draw();
      };
      const watch = new ResizeObserver(fit);
      watch.observe(node);
      fit();
      return () => watch.disconnect();
    },
    [draw],
  );
  useEffect(() => {
    painter.current = paint;
    draw();
  }, [paint, draw]);
  return useMemo(() => ({ hold, draw }), [hold, draw]);
}

/** The picture itself; what it shows is told in words for who does not see it. */
export function Picture({ easel: { hold }, label, height }: { easel: Easel; label: string; height: number }) {
  return (
    <canvas ref={hold} role="img" aria-label={label} style={{ display: 'block', width: '100%', height }} />
  );
}
