import type { Channel as ChannelView } from '@escale/core/model';

/** A message on its way out, whatever carries it. */
export interface Outgoing {
  /** The same message has the same key: what carries it makes twice once, as far as it can. */
  key: string;
  household: string;
  to: string;
  phone: string | null;
  mail: string | null;
  /** Short: what it is about. */
  subject: string;
  text: string;
  at: number;
  /** For somebody ashore; else for the crew's own devices. */
  ashore: boolean;
}

export type ChannelName = ChannelView['name'];

/** A way by which messages leave this machine. */
export interface Channel {
  readonly name: ChannelName;
  /** A stand-in: it reaches nobody outside, and says so wherever it speaks. */
  readonly simulated?: true;
  /** What a browser needs to be told by it. */
  readonly publicKey?: string;
  /** Could this message go by it at all? */
  reaches(message: Outgoing): boolean | Promise<boolean>;
  /**
   * At least once is enough.
   * @throws Bounced where the address takes nothing, so that trying again is of no use; any other error is tried again
   */
  send(message: Outgoing): Promise<void>;
  /** Is it there? Asked when the server starts. @throws where it is not */
  probe?(): Promise<void>;
  close?(): void;
}

/** The address itself refused: it will refuse again. */
export class Bounced extends Error {
  override name = 'Bounced';
}
