import { lazy, Suspense, type ComponentType } from 'react';
import { Screen } from './Screen';
import { Loading } from './states';

/** A page whose code is fetched when it is first opened, so that the shelf is there sooner. */
export function lazyPage<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Page = lazy(async () => ({ default: await load() })) as unknown as ComponentType<P>;
  return function LazyPage(props: P) {
    return (
      <Suspense
        fallback={
          <Screen question="One moment">
            <Loading what="this page" />
          </Screen>
        }
      >
        <Page {...props} />
      </Suspense>
    );
  };
}
