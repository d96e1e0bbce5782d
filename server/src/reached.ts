import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';

/** How the server is reached: on this machine only, or from outside over TLS or behind a named proxy. */
export interface Reached {
  host: string;
  /** The name that links carry. */
  base: string;
  tls?: { cert: Buffer; key: Buffer; until: number };
  /** The address of the proxy that ends TLS before it; nobody else is believed about where a request came from. */
  proxy?: string;
}

/** What was set at all: an empty setting, as compose files leave them, is none. */
export const saidIn = (env: NodeJS.ProcessEnv): NodeJS.ProcessEnv =>
  Object.fromEntries(Object.entries(env).filter(([, value]) => value !== ''));

const HERE: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '::1']);
export const isLoopback = (host: string): boolean => HERE.has(host);

/** Does an address lead here from another machine? */
export const reachesOthers = (url: string): boolean =>
  !isLoopback(new URL(url).hostname.replace(/^\[|\]$/g, ''));

/**
 * From the environment: HOST, ESCALE_PUBLIC, ESCALE_TLS_CERT and ESCALE_TLS_KEY, ESCALE_PROXY.
 * @throws where strangers could listen in: off this machine without TLS or a named proxy, or without a name
 */
export function reachedBy(env: NodeJS.ProcessEnv, port: number): Reached {
  const host = env.HOST ?? '127.0.0.1';
  const { ESCALE_PUBLIC: open, ESCALE_PROXY: proxy } = env;
  const tls = tlsFrom(env);
  const base = open === undefined ? undefined : publicFrom(open);
  if (!isLoopback(host) && !tls && !proxy)
    throw new Error(
      `HOST=${host} is reached from outside: give it a certificate (ESCALE_TLS_CERT, ESCALE_TLS_KEY), or name the proxy that ` +
        'ends TLS before it (ESCALE_PROXY). Without either anybody between could read and change everything.',
    );
  if (!isLoopback(host) && !base)
    throw new Error(
      `HOST=${host} needs ESCALE_PUBLIC, the address by which others reach it: links carry it.`,
    );
  if (base && !base.startsWith('https://'))
    throw new Error(
      'ESCALE_PUBLIC has to be https: phones keep nothing, and tell no position, over plain http.',
    );
  return {
    host,
    base: base ?? `http://localhost:${port}`,
    ...(tls ? { tls } : {}),
    ...(proxy ? { proxy } : {}),
  };
}

function publicFrom(text: string): string {
  if (!URL.canParse(text))
    throw new Error(`ESCALE_PUBLIC=${text} is no address, such as https://plans.example`);
  const { origin, pathname } = new URL(text);
  if (pathname !== '/') throw new Error('ESCALE_PUBLIC is a name alone: Escale stands at its root.');
  return origin;
}

function tlsFrom({ ESCALE_TLS_CERT: certFile, ESCALE_TLS_KEY: keyFile }: NodeJS.ProcessEnv): Reached['tls'] {
  if (certFile === undefined && keyFile === undefined) return undefined;
  if (!certFile || !keyFile) throw new Error('TLS needs both ESCALE_TLS_CERT and ESCALE_TLS_KEY.');
  const [cert, key] = [readFileSync(certFile), readFileSync(keyFile)];
  return { cert, key, until: Date.parse(new X509Certificate(cert).validTo) };
}
