import { useEffect, useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { ThemeProvider } from 'react-native-paper';
import { themeOf } from '@/theme/theme';
import { FONTS } from '@/theme/tokens';

/** A printer's own page with a usual margin; or just this one, whole. */
type PageSize = 'usual' | { widthMm: number; heightMm: number };

interface OnPaper {
  content: ReactNode;
  page: PageSize;
}

/** Drawings on paper are in real size: CSS says that 25.4 mm are 96 px. */
export const PX_PER_MM = 96 / 25.4;

/** Everything but the paper is left out of a print; and the paper is never seen on the screen. */
const cssOf = (page: PageSize): string => `
@page { ${page === 'usual' ? 'margin: 14mm' : `size: ${page.widthMm}mm ${page.heightMm}mm; margin: 0`} }
.paper { background: #fff; color: #000; font: 10.5pt/1.4 "${FONTS.sans}", sans-serif; }
.paper { font-variant-numeric: lining-nums; }
.paper h1 { font: 22pt/1.2 "${FONTS.serif}", serif; margin: 0; }
.paper h2 { font: 13pt/1.3 "${FONTS.serifBold}", serif; margin: 6mm 0 1mm; }
.paper p { margin: 0 0 2mm; }
.paper table { border-collapse: collapse; width: 100%; }
.paper th, .paper td { text-align: left; vertical-align: top; padding: 1.2mm 3mm 1.2mm 0; border-bottom: 0.2mm solid #999; }
.paper .what { width: 55mm; }
.paper tr { break-inside: avoid; }
.paper thead { display: table-header-group; }
.paper .box { display: inline-block; width: 4.5mm; height: 4.5mm; border: 0.3mm solid #000; }
.paper .soft { color: #444; }
@media screen { .paper { position: fixed; left: -10000px; top: 0; width: 182mm; visibility: hidden; } }
@media print {
  html, body { height: auto !important; overflow: visible !important; background: #fff !important; }
  body > :not(.paper) { display: none !important; }
}`;

/** A picture that stands on the paper must have come before it is printed. */
const allCome = (paper: HTMLElement): Promise<unknown> =>
  Promise.all([...paper.querySelectorAll('img')].map((image) => image.decode().catch(() => {})));

/**
 * Prints something of its own, without the page around it: nothing of bars or buttons.
 * @returns what the page has to draw besides, and how to print
 */
export function usePaper(): [paper: ReactNode, print: (content: ReactNode, page?: PageSize) => void] {
  const [on, setOn] = useState<OnPaper | null>(null);
  const here = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!on || !here.current) return;
    let gone = false;
    const done = () => setOn(null);
    window.addEventListener('afterprint', done);
    void Promise.all([document.fonts?.ready, allCome(here.current)]).then(() => {
      if (!gone) window.print();
    });
    return () => {
      gone = true;
      window.removeEventListener('afterprint', done);
    };
  }, [on]);
  const paper = on
    ? createPortal(
        <div className="paper" ref={here}>
          <style>{cssOf(on.page)}</style>
          <ThemeProvider theme={themeOf('paper')}>{on.content}</ThemeProvider>
        </div>,
        document.body,
      )
    : null;
  return [paper, (content, page = 'usual') => setOn({ content, page })];
}
