import { onlineManager } from '@tanstack/react-query';
import { useEffect, useState, type ComponentType } from 'react';
import { Crash } from './Crash';
import { Screen } from './Screen';
import { Failed, Loading } from './states';

/** What has come already, by what fetched it: two addresses of one page fetch it once. */
const COME = new Map<unknown, unknown>();

/** Code that is fetched when it is first needed, and again when the server can be reached after it could not. */
function useCome<P>(load: () => Promise<P>): { code: P } | { error: Error; retry(): void } | null {
  const [came, setCame] = useState<{ code: P } | { error: Error } | null>(
    COME.has(load) ? { code: COME.get(load) as P } : null,
  );
  useEffect(() => {
    if (came) return;
    let here = true;
    load().then(
      (code) => {
        COME.set(load, code);
        if (here) setCame({ code });
      },
      (error: unknown) => {
        if (here) setCame({ error: error instanceof Error ? error : new Error(String(error)) });
      },
    );
    return () => {
      here = false;
    };
  }, [came, load]);
  const failed = came !== null && 'error' in came;
  useEffect(
    () => (failed ? onlineManager.subscribe((online) => online && setCame(null)) : undefined),
    [failed],
  );
  return came !== null && 'error' in came ? { ...came, retry: () => setCame(null) } : came;
}

/** A part of a page whose code is fetched when it is first shown; until then nothing stands there. */
export function lazyPart<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  return function LazyPart(props: P) {
    const came = useCome(load);
    return came && 'code' in came ? <came.code {...props} /> : null;
  };
}

/**
 * A page whose code is fetched when it is first opened, so that the shelf is there sooner.
 * Not React's own lazy: it draws the page that has come in slices between frames, with the lowest priority, so that on a
 * slow device the page could wait for seconds behind other work. This draws it at once. A page that cannot be fetched
 * says so and is fetched again when the server can be reached; a page that breaks takes nothing else with it.
 */
export function lazyPage<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  return function LazyPage(props: P) {
    const came = useCome(load);
    if (came === null)
      return (
        <Screen question="One moment">
          <Loading what="this page" />
        </Screen>
      );
    if ('error' in came)
      return (
        <Screen question="This page is not here yet" back="/">
          <Failed error={new Error('It could not be fetched from the server.')} onRetry={came.retry} />
        </Screen>
      );
    return (
      <Crash>
        <came.code {...props} />
      </Crash>
    );
  };
}
