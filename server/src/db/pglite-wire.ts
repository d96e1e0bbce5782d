/** What the thread that holds PGlite is asked, and what it answers. */
export interface Ask {
  id: number;
  what: 'query' | 'exec' | 'begin' | 'commit' | 'rollback' | 'syncs' | 'close';
  /** The transaction it belongs to; without one it stands by itself. */
  tx?: number;
  sql?: string;
  params?: unknown[];
  rowMode?: 'array' | 'object';
}

/** An error as it goes from one thread to another: the database's code and names, without its row values. */
export interface Trouble {
  message: string;
  code?: string;
  constraint?: string;
  table?: string;
}

export type Answer = { id: number; result?: unknown; trouble?: Trouble };

/** The first word of the thread: open, or why not. */
export type Opened = { id: 0; trouble?: Trouble };

/** Which memory the thread opens; without a folder one that lies in it alone. */
export interface Opening {
  folder?: string;
}
