import { closeSync, existsSync, fsyncSync, openSync, readFileSync, renameSync, writeSync } from 'node:fs';
import { gt } from 'drizzle-orm';
import { planEvent } from '../db/schema';
import type { Db } from '../db/open';
import type { Heads } from '../plans/chain';

/** Rows of another server may become visible a little later than their numbers. */
const BEHIND = 500;

/** Lines written in one go. */
const LINES = 1000;

type Head = { seq: number; hash: string };

/**
 * The last event of each plan, noted in a file outside the database: who cuts the end off a record there is found out here. A
 * line for each event (plan, number, hash), put in order at each start.
 */
export class HeadsFile {
  private readonly last = new Map<string, Head>();
  private seen = 0;

  constructor(private readonly file: string) {
    if (existsSync(file))
      for (const line of readFileSync(file, 'utf8').split('\n')) {
        const [plan, seq, hash] = line.split(' ');
        // A line that was cut by a kill is the last; the events are noted again.
        if (hash && Number.isInteger(Number(seq))) this.take(plan, { seq: Number(seq), hash });
      }
    this.write('w', [...this.last]);
  }

  heads(): Heads {
    return this.last;
  }

  private take(plan: string, head: Head): boolean {
    const known = this.last.get(plan);
    this.seen = Math.max(this.seen, head.seq);
    if (known && known.seq >= head.seq) return false;
    this.last.set(plan, head);
    return true;
  }

  private write(how: 'a' | 'w', heads: [string, Head][]): void {
    // Put in order beside its place, so that a kill leaves the old or the new one.
    const to = how === 'w' ? `${this.file}.making` : this.file;
    const fd = openSync(to, how, 0o600);
    const lines = heads.map(([plan, { seq, hash }]) => `${plan} ${seq} ${hash}\n`);
    for (let from = 0; from < lines.length; from += LINES)
      writeSync(fd, lines.slice(from, from + LINES).join(''));
    fsyncSync(fd);
    closeSync(fd);
    if (how === 'w') renameSync(to, this.file);
  }

  /** Note the events that came since. */
  async note(db: Db): Promise<void> {
    const rows = await db
      .select({ plan: planEvent.plan, seq: planEvent.seq, hash: planEvent.hash })
      .from(planEvent)
      .where(gt(planEvent.seq, this.seen - BEHIND))
      .orderBy(planEvent.seq);
    const news = rows.flatMap(({ plan, ...head }): [string, Head][] =>
      this.take(plan, head) ? [[plan, head]] : [],
    );
    if (news.length > 0) this.write('a', news);
  }
}
