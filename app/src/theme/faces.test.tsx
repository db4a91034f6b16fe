import { Text } from 'react-native';
import { act, render, screen } from '@testing-library/react';
import { fetchFaces, useIcons } from './faces';

jest.mock('@expo/vector-icons/MaterialCommunityIcons', () => ({ font: { icons: 1 } }));
const mockRules = new Map<string, 'failed' | 'come'>();
let mockAway = false;
// as in a browser: what has been named once is not fetched again, whether it came or not
jest.mock('expo-font', () => ({
  loadAsync: (name: string) => {
    if (mockRules.has(name)) return Promise.resolve();
    mockRules.set(name, mockAway ? 'failed' : 'come');
    return mockAway ? Promise.reject(new Error('A network error occurred.')) : Promise.resolve();
  },
  unloadAsync: (name: string) => {
    mockRules.delete(name);
    return Promise.resolve();
  },
}));

function Icon() {
  return <Text>{useIcons() ? 'drawn' : 'not yet'}</Text>;
}

test('a face that cannot be fetched is fetched again, and icons are drawn once theirs has come', async () => {
  jest.useFakeTimers();
  mockAway = true;
  render(<Icon />);
  await act(async () => fetchFaces());
  expect(screen.getByText('not yet')).toBeTruthy();
  await act(() => jest.advanceTimersByTimeAsync(25_000));
  expect(screen.getByText('not yet')).toBeTruthy();
  mockAway = false;
  await act(() => jest.advanceTimersByTimeAsync(10_000));
  expect(screen.getByText('drawn')).toBeTruthy();
  expect([...mockRules.values()]).toEqual(Array(6).fill('come'));
  expect(jest.getTimerCount()).toBe(0);
  jest.useRealTimers();
});
