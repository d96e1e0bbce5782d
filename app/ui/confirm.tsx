import { useState, type ComponentProps } from 'react';
import { Button } from './button';
import { Sheet } from './sheet';
import { T } from './text';

/** A button for what alarms people or can't be taken back: it asks once, in words that say what follows. */
export function Confirm({
  title,
  follows,
  also,
  yes,
  no,
  onYes,
  children,
  ...button
}: {
  title: string;
  /** What follows from it. */
  follows: string;
  /** What is to be known besides. */
  also?: string;
  yes: string;
  no: string;
  onYes: () => void;
} & Omit<ComponentProps<typeof Button>, 'onPress'>) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button {...button} onPress={() => setOpen(true)}>
        {children}
      </Button>
      {open ? (
        <Sheet title={title} onClose={() => setOpen(false)}>
          <T>{follows}</T>
          {also ? <T as="soft">{also}</T> : null}
          <Button
            kind="main"
            wet
            once
            onPress={() => {
              setOpen(false);
              onYes();
            }}
          >
            {yes}
          </Button>
          <Button wet onPress={() => setOpen(false)}>
            {no}
          </Button>
        </Sheet>
      ) : null}
    </>
  );
}
