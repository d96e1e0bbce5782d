import { useEffect, useRef, type RefObject } from 'react';
import type { View } from 'react-native';

/** Further than this a press is a drag, px. */
const SLIP = 8;

/** Whose mark is dragged onto which box: `data-drag` on what moves, `data-drop` on where it may land. */
export function useDrop(box: RefObject<View | null>, onDrop: (what: string, where: string) => void): void {
  const latest = useRef(onDrop);
  useEffect(() => {
    latest.current = onDrop;
  });
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    if (!element?.addEventListener) return undefined;
    let grab: { what: string; mark: HTMLElement; x: number; y: number; moved: boolean } | undefined;
    const down = (event: PointerEvent) => {
      const mark = (event.target as HTMLElement).closest<HTMLElement>('[data-drag]');
      if (!mark?.dataset.drag || event.button !== 0) return;
      grab = { what: mark.dataset.drag, mark, x: event.clientX, y: event.clientY, moved: false };
      element.setPointerCapture(event.pointerId);
    };
    const move = (event: PointerEvent) => {
      if (!grab) return;
      const [dx, dy] = [event.clientX - grab.x, event.clientY - grab.y];
      grab.moved ||= Math.hypot(dx, dy) > SLIP;
      if (grab.moved) grab.mark.style.translate = [dx, dy].map((by) => `${by}px`).join(' ');
    };
    const up = (event: PointerEvent) => {
      if (!grab) return;
      const { what, mark, moved } = grab;
      grab = undefined;
      mark.style.translate = '';
      if (!moved || event.type !== 'pointerup') return;
      const under = document
        .elementsFromPoint(event.clientX, event.clientY)
        .find((each): each is HTMLElement => each instanceof HTMLElement && each.dataset.drop !== undefined);
      const from = mark.closest<HTMLElement>('[data-drop]')?.dataset.drop;
      if (under?.dataset.drop && under.dataset.drop !== from) latest.current(what, under.dataset.drop);
    };
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    return () => {
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
    };
  }, [box]);
}
