import { speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { SAMPLE_TUBE } from '@/features/intake/tubes';
import { themeOf } from '@/theme/theme';
import { anatomyOf, drawnNumber, mound, pilesOf, queenIn, tubeInWords } from './anatomy';
import { DragLine } from './DragLine';
import { scaleOf, TubeDrawing } from './TubeDrawing';

const draw = (element: React.ReactElement) =>
  render(<PaperProvider theme={themeOf('paper')}>{element}</PaperProvider>);

describe('the drawing', () => {
  test('is to scale: the same px for a mm along and across', () => {
    const { pxPerMm, height, tall, from, to } = scaleOf(SAMPLE_TUBE, 358);
    expect((to - from) * pxPerMm).toBeCloseTo(358, 6);
    expect(tall * pxPerMm).toBeCloseTo(height, 6);
    draw(<TubeDrawing tube={SAMPLE_TUBE} width={358} lineMm={60} />);
    const [, , w, h] = (screen.getByRole('img').getAttribute('viewBox') ?? '').split(' ').map(Number);
    expect((w as number) / (h as number)).toBeCloseTo(358 / height, 3);
  });

  test('says in words what it shows', () => {
    draw(
      <TubeDrawing
        tube={SAMPLE_TUBE}
        width={358}
        lineMm={60}
        queenAtMm={118}
        counts={{ eggs: { low: 8, high: 12 }, larvae: { low: 0, high: 0 } }}
        profile={speciesProfile('messor-structor')}
      />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Tube 16 by 150 mm; water to 60 mm; chamber 35 mm; queen at 118 mm; eggs 8–12, larvae none',
    );
  });

  test('a sleeve hides what is inside, in the drawing and in the words', () => {
    const counts = { eggs: { low: 8, high: 12 } };
    const words = tubeInWords(SAMPLE_TUBE, 60, counts, { sleeve: 'rests until 6 Dec', queenAtMm: 118 });
    expect(words).toContain('rests until 6 Dec');
    expect(words).not.toMatch(/eggs|queen/);
    draw(
      <TubeDrawing tube={SAMPLE_TUBE} width={358} lineMm={60} counts={counts} sleeve="rests until 6 Dec" />,
    );
    expect(screen.getByText('rests until 6 Dec')).toBeTruthy();
  });

  test('draws the middle of a range, a handful for "some", never a crowd', () => {
    expect(drawnNumber({ low: 8, high: 12 })).toBe(10);
    expect(drawnNumber({ low: 1, high: null })).toBe(4);
    expect(drawnNumber({ low: 300, high: 400 })).toBe(40);
    expect(drawnNumber(null)).toBe(0);
  });

  test('brood lies beside the queen, wherever she sits, and in the order of its stages', () => {
    const a = anatomyOf(SAMPLE_TUBE);
    for (let atMm = a.chamberStart - 5; atMm <= a.chamberEnd + 5; atMm++) {
      const queen = queenIn(a, atMm, speciesProfile('camponotus-vagus'));
      const { eggs, larvae, pupae } = pilesOf(a, queen);
      expect([eggs, larvae, pupae]).toEqual([eggs, larvae, pupae].sort((x, y) => x - y));
      for (const x of [eggs, larvae, pupae]) {
        expect(Math.abs(x - queen.atMm)).toBeGreaterThanOrEqual(queen.lengthMm / 2);
        expect(x).toBeGreaterThanOrEqual(a.chamberStart);
        expect(x).toBeLessThanOrEqual(a.innerEnd);
      }
    }
  });

  test('a mound has as many as were counted, and grows upwards', () => {
    for (const n of [1, 2, 5, 12, 40]) {
      const places = mound(n, 1, 0.6);
      expect(places).toHaveLength(n);
      const heights = places.map((p) => p.y);
      expect(heights).toEqual([...heights].sort((a, b) => a - b));
    }
  });
});

describe('the water line', () => {
  const scale = { from: 0, pxPerMm: 2, height: 40 };
  const line = (onChange: (mm: number) => void) =>
    draw(
      <DragLine label="Water line" mm={60} min={0} max={85} scale={scale} text="60 mm" onChange={onChange} />,
    );

  test('moves by arrow keys, a millimetre at a time, and stops at its ends', () => {
    const onChange = jest.fn();
    line(onChange);
    const slider = screen.getByRole('slider', { name: 'Water line' });
    fireEvent.keyDown(slider, { key: 'ArrowLeft' });
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    fireEvent.keyDown(slider, { key: 'PageUp' });
    fireEvent.keyDown(slider, { key: 'x' });
    expect(onChange.mock.calls.flat()).toEqual([59, 61, 70]);
    expect(slider.getAttribute('aria-valuetext')).toBe('60 mm');
  });
});
