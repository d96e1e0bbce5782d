import { useEffect } from 'react';
import { fieldId } from '../../data/where';

/** Go to a field, or to the nearest on the way up: /crew/0/clothing, then /crew/0, then /crew. */
export function goTo(at: string): void {
  for (let pointer = at; pointer !== ''; pointer = pointer.slice(0, pointer.lastIndexOf('/'))) {
    const element = document.getElementById(fieldId(pointer));
    if (element) {
      element.scrollIntoView({ block: 'center' });
      element.focus({ preventScroll: true });
      return;
    }
  }
}

/** Go to the field that a finding pointed at. */
export function useGoTo(at: string | undefined): void {
  useEffect(() => {
    if (at) goTo(at);
  }, [at]);
}
