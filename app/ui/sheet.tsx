import { useEffect, useRef, type ReactNode } from 'react';
import { View } from 'react-native';
import { T } from './text';
import { usePalette } from './theme';

/**
 * What stands over the page until it is closed: the browser's own dialog, which keeps the focus inside, lets Escape close it
 * and gives the focus back.
 */
export function Sheet({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const p = usePalette();
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const element = ref.current;
    if (element && !element.open) element.showModal();
  }, []);
  return (
    <dialog
      ref={ref}
      aria-label={title}
      onClose={onClose}
      onClick={(event) => {
        if (event.target === ref.current) ref.current.close();
      }}
      style={{
        padding: 0,
        width: 'min(520px, 92vw)',
        maxHeight: '80vh',
        borderStyle: 'solid',
        borderWidth: 2,
        borderColor: p.ink,
        background: p.paper,
        color: p.ink,
      }}
    >
      <View style={{ padding: 12, gap: 8 }}>
        <T as="section" heading={2}>
          {title}
        </T>
        {children}
      </View>
    </dialog>
  );
}
