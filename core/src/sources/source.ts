/** What is said of a source: its edition, how it came here, and how sure that is. */
export type How = 'run-here' | 'closed-form' | 'recalled' | 'common-practice' | 'own-estimate';

export interface Source {
  title: string;
  publisher: string;
  edition?: string;
  how: How;
  confidence: 'H' | 'M' | 'L';
  verified: boolean;
  noted: string;
}

export const recalled = (
  title: string,
  publisher: string,
  edition: string | undefined,
  confidence: 'H' | 'M' | 'L' = 'H',
): Source => ({
  title,
  publisher,
  ...(edition ? { edition } : {}),
  how: 'recalled',
  confidence,
  verified: false,
  noted: '2026-11-24',
});
