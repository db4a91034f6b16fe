import { useEffect, useState, type ComponentType } from 'react';
import { Screen } from './Screen';
import { Loading } from './states';

/**
 * A page whose code is fetched when it is first opened, so that the shelf is there sooner.
 * Not React's own lazy: it draws the page that has come in slices between frames, with the lowest priority, so that on a
 * slow device the page could wait for seconds behind other work. This draws it at once.
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
    if (came === null)
      return (
        <Screen question="One moment">
          <Loading what="this page" />
        </Screen>
      );
    if ('error' in came) throw came.error;
    return <came.Page {...props} />;
  };
}
