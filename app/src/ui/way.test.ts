import { router } from 'expo-router';
import { go, goBack, goInstead, goInsteadOfAll, passed } from './way';

const back = jest.spyOn(window.history, 'back').mockImplementation(() => {});

beforeEach(() => {
  sessionStorage.clear();
  jest.clearAllMocks();
});

/** Going on, as the frame notes it. */
const on = (...addresses: string[]) => addresses.forEach(passed);

test('back leads where one came from; from an address opened by itself, to the page above', () => {
  on('/queens/1/look');
  goBack('/queens/1');
  expect(router.replace).toHaveBeenLastCalledWith('/queens/1');
  expect(back).not.toHaveBeenCalled();
  sessionStorage.clear();
  on('/', '/queens/1/look');
  goBack('/queens/1');
  expect(back).toHaveBeenCalledTimes(1);
});

test('a step back is no step on: after it there is nothing left to go back to', () => {
  on('/', '/shelf', '/');
  goBack('/above');
  expect(back).not.toHaveBeenCalled();
  expect(router.replace).toHaveBeenCalledWith('/above');
});

test('one’s own address is not gone to', () => {
  on('/shelf');
  go('/shelf');
  expect(router.push).not.toHaveBeenCalled();
  go('/shelf?sort=name');
  expect(router.push).toHaveBeenCalledWith('/shelf?sort=name');
});

test('what takes the place of a page is not gone back to, also when the page leads on before it is noted', () => {
  on('/', '/scan');
  goInstead('/queens/1/look');
  on('/queens/1/look');
  goBack('/x');
  expect(back).toHaveBeenCalledTimes(1);
  sessionStorage.clear();
  on('/shelf');
  goInstead('/queens/new?step=1', '/queens/new');
  on('/queens/new', '/queens/new?step=1', '/queens/new?step=2', '/queens/new?step=1');
  goBack('/x');
  // back at the shelf
  expect(back).toHaveBeenCalledTimes(2);
  on('/shelf');
  goBack('/above');
  expect(router.replace).toHaveBeenLastCalledWith('/above');
});

test('a form of many steps is left at once', () => {
  const far = jest.spyOn(window.history, 'go').mockImplementation(() => {
    setTimeout(() => window.dispatchEvent(new Event('popstate')));
  });
  jest.useFakeTimers();
  on('/shelf', '/queens/new?step=1', '/queens/new?step=2', '/queens/new?step=3');
  goInsteadOfAll('/queens/new', '/queens/1');
  expect(far).toHaveBeenCalledWith(-2);
  jest.runAllTimers();
  expect(router.replace).toHaveBeenLastCalledWith('/queens/1');
  jest.useRealTimers();
});
