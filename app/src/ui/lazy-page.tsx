import { onlineManager } from '@tanstack/react-query';
import { useEffect, useState, type ComponentType } from 'react';
import { Crash } from './Crash';
import { Screen } from './Screen';
import { Failed, Loading } from './states';

/**
 * A page whose code is fetched when it is first opened, so that the shelf is there sooner.
 * Not React's own lazy: it draws the page that has come in slices between frames, with the lowest priority, so that on a
 * slow device the page could wait for seconds behind other work. This draws it at once. A page that cannot be fetched
 * says so and is fetched again when the server can be reached; a page that breaks takes nothing else with it.
 */
export function lazyPage<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  let Come: ComponentType<P> | null = null;
  return function LazyPage(props: P) {
    const [came, setCame] = useState<{ Page: ComponentType<P> } | { error: Error } | null>(
      Come ? { Page: Come } : null,
    );
    useEffect(() => {
      if (came) return;
      let here = true;
      load().then(
        (Page) => {
          Come = Page;
          if (here) setCame({ Page });
        },
        (error: unknown) => {
          if (here) setCame({ error: error instanceof Error ? error : new Error(String(error)) });
        },
      );
      return () => {
        here = false;
      };
    }, [came]);
    const failed = came !== null && 'error' in came;
    useEffect(
      () => (failed ? onlineManager.subscribe((online) => online && setCame(null)) : undefined),
      [failed],
    );
    if (came === null)
      return (
        <Screen question="One moment">
          <Loading what="this page" />
        </Screen>
      );
    if ('error' in came)
      return (
        <Screen question="This page is not here yet" back="/">
          <Failed
            error={new Error('It could not be fetched from the server.')}
            onRetry={() => setCame(null)}
          />
        </Screen>
      );
    return (
      <Crash>
        <came.Page {...props} />
      </Crash>
    );
  };
}
