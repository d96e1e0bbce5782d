import { isLive, listen } from './stream';

/** A browser's stream as far as it matters: who listens, and what comes. */
class FakeSource {
  static all: FakeSource[] = [];
  static readonly CLOSED = 2;
  readyState = 0;
  private readonly heard = new Map<string, (() => void)[]>();
  constructor(readonly url: string) {
    FakeSource.all.push(this);
  }
  addEventListener(name: string, then: () => void): void {
    this.heard.set(name, [...(this.heard.get(name) ?? []), then]);
  }
  close(): void {
    this.readyState = FakeSource.CLOSED;
  }
  comes(name: string): void {
    for (const then of this.heard.get(name) ?? []) then();
  }
}

beforeEach(() => {
  FakeSource.all = [];
  Object.assign(globalThis, { EventSource: FakeSource });
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'EventSource');
});

test('what changed is read anew, and asking is rarer while the stream is there', () => {
  const heard: string[] = [];
  const stop = listen((about) => heard.push(about));
  const [source] = FakeSource.all;
  expect([source.url, isLive()]).toEqual(['/api/stream', false]);
  source.comes('open');
  // A page that just opened has read all.
  expect([isLive(), heard]).toEqual([true, []]);
  source.comes('plans');
  expect(heard).toEqual(['plans']);
  source.comes('error');
  expect(isLive()).toBe(false);
  // What changed while nobody listened.
  source.comes('open');
  expect(heard.slice(1)).toEqual(['plans', 'things']);
  stop();
  expect([isLive(), source.readyState]).toEqual([false, FakeSource.CLOSED]);
});

test('a stream that was refused is asked for again after a while, and not after the page is shut', () => {
  const stop = listen(() => undefined);
  const [first] = FakeSource.all;
  first.close();
  first.comes('error');
  jest.advanceTimersByTime(29_000);
  expect(FakeSource.all).toHaveLength(1);
  jest.advanceTimersByTime(1500);
  expect(FakeSource.all).toHaveLength(2);
  FakeSource.all[1].close();
  FakeSource.all[1].comes('error');
  stop();
  jest.advanceTimersByTime(60_000);
  expect(FakeSource.all).toHaveLength(2);
});

test('without streams nothing is lost: it is asked for as before', () => {
  Reflect.deleteProperty(globalThis, 'EventSource');
  listen(() => undefined)();
  expect([FakeSource.all, isLive()]).toEqual([[], false]);
});
