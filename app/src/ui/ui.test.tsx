import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { PaperProvider } from 'react-native-paper';
import { setPreferences } from '@/theme/preferences';
import { PALETTES, type Palette } from '@/theme/tokens';
import { themeOf } from '@/theme/theme';
import { Choice } from './Choice';
import { NumberField } from './fields';
import { useKeys } from './keys';
import { phraseText } from './Said';
import { TempField } from './TempField';

const show = (e: React.ReactElement) => render(<PaperProvider theme={themeOf('paper')}>{e}</PaperProvider>);

describe('contrast, by WCAG 2.2 (relative luminance and ratio as the standard defines them)', () => {
  const luminance = (hex: string) => {
    const [r, g, b] = [1, 3, 5].map((i) => {
      const c = parseInt(hex.slice(i, i + 2), 16) / 255;
      return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const ratio = (a: string, b: string) => {
    const [x, y] = [luminance(a), luminance(b)].sort((m, n) => n - m) as [number, number];
    return (x + 0.05) / (y + 0.05);
  };
  test('black on white is 21 to 1', () => expect(ratio('#000000', '#ffffff')).toBeCloseTo(21, 6));

  describe.each(Object.entries(PALETTES))('%s', (_, p: Palette) => {
    test.each([
      ['ink', 'ground'],
      ['ink', 'sheet'],
      ['inkSoft', 'ground'],
      ['inkSoft', 'sheet'],
      ['moss', 'ground'],
      ['moss', 'sheet'],
      ['amber', 'ground'],
      ['amber', 'sheet'],
      ['clay', 'ground'],
      ['clay', 'sheet'],
      ['onMoss', 'moss'],
      ['inkSoft', 'mossWash'],
      ['inkSoft', 'amberWash'],
      ['ink', 'mossWash'],
      ['ink', 'amberWash'],
      ['sleeveInk', 'sleeve'],
    ] as const)('%s on %s reads (4.5 to 1)', (text, ground) => {
      expect(ratio(p[text], p[ground])).toBeGreaterThanOrEqual(4.5);
    });
    test('the outline of the glass and the water line are told from what lies beside them (3 to 1)', () => {
      expect(ratio(p.glass, p.ground)).toBeGreaterThanOrEqual(3);
      expect(ratio(p.glass, p.glassFill)).toBeGreaterThanOrEqual(3);
      expect(ratio(p.waterDeep, p.glassFill)).toBeGreaterThanOrEqual(3);
    });
  });
});

describe('a choice', () => {
  const options = [
    { value: 'a', label: 'One' },
    { value: 'b', label: 'Two', hint: 'the other' },
  ] as const;

  test('marks what is chosen, and can be taken back where that makes sense', () => {
    const onChange = jest.fn();
    const onClear = jest.fn();
    show(<Choice label="Which" options={options} value="a" onChange={onChange} onClear={onClear} />);
    expect(screen.getByRole('radio', { name: 'One' }).getAttribute('aria-checked')).toBe('true');
    fireEvent.click(screen.getByRole('radio', { name: 'Two. the other' }));
    fireEvent.click(screen.getByRole('radio', { name: 'One' }));
    expect(onChange.mock.calls).toEqual([['b']]);
    expect(onClear).toHaveBeenCalledTimes(1);
  });
});

describe('keys within a group', () => {
  function Group() {
    const [value, setValue] = useState<'a' | 'b' | 'c' | null>(null);
    const three = ['a', 'b', 'c'].map((v) => ({ value: v as 'a', label: v.toUpperCase() }));
    return (
      <Choice
        label="Which"
        options={three}
        value={value}
        onChange={(v) => setValue(v)}
        onClear={() => setValue(null)}
      />
    );
  }
  const radio = (name: string) => screen.getByRole('radio', { name });
  const stops = () => screen.getAllByRole('radio').map((r) => r.getAttribute('tabindex'));
  test('Tab stops once; arrows choose, Space chooses and takes back, Home and End go to the ends', () => {
    show(<Group />);
    expect(stops()).toEqual(['0', '-1', '-1']);
    radio('A').focus();
    fireEvent.keyDown(radio('A'), { key: 'ArrowRight' });
    expect(radio('B').getAttribute('aria-checked')).toBe('true');
    expect(document.activeElement).toBe(radio('B'));
    expect(stops()).toEqual(['-1', '0', '-1']);
    fireEvent.keyDown(radio('B'), { key: 'Home' });
    fireEvent.keyDown(radio('A'), { key: 'ArrowUp' });
    expect(radio('C').getAttribute('aria-checked')).toBe('true');
    fireEvent.keyDown(radio('C'), { key: ' ' });
    expect(screen.queryByRole('radio', { checked: true })).toBeNull();
  });
});

describe('a number field', () => {
  function Field({ start }: { start: number | null }) {
    const [value, setValue] = useState<number | null>(start);
    return (
      <>
        <NumberField label="Bore" unit="mm" value={value} onChange={setValue} />
        <button onClick={() => setValue(99)}>moved</button>
        <output>{String(value)}</output>
      </>
    );
  }
  const input = () => screen.getByRole('textbox', { name: 'Bore, mm' }) as HTMLInputElement;
  const type = (value: string) => fireEvent.change(input(), { target: { value } });

  test('keeps what is typed as it is typed, also while it is no number', () => {
    show(<Field start={14} />);
    type('14,');
    type('14,5');
    expect(input().value).toBe('14,5');
    expect(screen.getByRole('status').textContent).toBe('14.5');
    type('14,5x');
    expect(input().value).toBe('14,5x');
    expect(screen.getByRole('alert').textContent).toMatch(/"14,5x" is not a number. Write digits/);
  });

  test('follows when the value is moved from elsewhere', () => {
    show(<Field start={14} />);
    type('12');
    fireEvent.click(screen.getByRole('button', { name: 'moved' }));
    expect(input().value).toBe('99');
  });
});

describe('keys', () => {
  function Page({ onL }: { onL: () => void }) {
    const [handlers] = useState(() => ({ l: onL }));
    useKeys(handlers);
    return <input aria-label="typing" />;
  }
  test('answer on the page, but not while something is typed, nor with a modifier', () => {
    const onL = jest.fn();
    render(<Page onL={onL} />);
    fireEvent.keyDown(document.body, { key: 'l' });
    fireEvent.keyDown(document.body, { key: 'l', ctrlKey: true });
    fireEvent.keyDown(screen.getByLabelText('typing'), { key: 'l' });
    fireEvent.keyDown(document.body, { key: 'q' });
    expect(onL).toHaveBeenCalledTimes(1);
  });
});

test('a sentence of the core in the keeper’s units', () => {
  const says = [
    'At ',
    { tempC: 25 },
    ' and ',
    { mm: 127 },
    ': ',
    { percent: 12.4 },
    ', ',
    { word: 'eggs' },
    '.',
  ];
  expect(phraseText(says, { temperature: 'F', length: 'in' })).toBe('At 77 °F and 5 in: 12 %, eggs.');
  expect(phraseText(says, { temperature: 'C', length: 'mm' })).toBe('At 25 °C and 127 mm: 12 %, eggs.');
});

describe('a temperature', () => {
  afterEach(() => setPreferences({ temperature: 'C' }));
  const field = (valueC: number | null) => {
    const kept = jest.fn();
    const { unmount } = show(<TempField label="Temperature" valueC={valueC} onChange={kept} />);
    return { kept, unmount };
  };
  test('of the other scale is asked about, and taken by one tap', () => {
    const { kept } = field(76);
    fireEvent.click(screen.getByRole('button', { name: 'Did you mean 76 °F?' }));
    expect(kept.mock.calls[0][0]).toBeCloseTo(24.44, 2);
  });
  test('typed as °C where °F is shown', () => {
    setPreferences({ temperature: 'F' });
    const { kept } = field((24 - 32) / 1.8);
    fireEvent.click(screen.getByRole('button', { name: 'Did you mean 24 °C?' }));
    expect(kept).toHaveBeenCalledWith(24);
  });
  test('keeps the digits that were typed', () => {
    function Held() {
      const [c, set] = useState<number | null>(null);
      return <TempField label="Temperature" valueC={c} onChange={set} />;
    }
    show(<Held />);
    const box = screen.getByRole('textbox') as HTMLInputElement;
    fireEvent.change(box, { target: { value: '24.05' } });
    expect(box.value).toBe('24.05');
  });
  test('that can be is not asked about, nor a frost, nor nothing', () => {
    for (const c of [24, 0, 41, -1, 600, null, NaN]) {
      const { unmount } = field(c);
      expect(screen.queryByRole('button')).toBeNull();
      unmount();
    }
  });
});
