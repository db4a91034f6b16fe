import { LABEL_SHEETS, type LabelSheet } from '@gentle-burrow/core/labels';
import type { LabelText } from './design';
import { labelFaces } from './fonts';
import { labelsPdf } from './pdf';
import { labelsSvg } from './svg';

/** What is to be printed. */
export interface PrintJob {
  as: 'pdf' | 'svg';
  /** Of a sheet. */
  sheet: string;
  labels: readonly LabelText[];
  /** Labels of the first sheet that are used already. */
  skip: number;
  /** Which sheet, where only one is drawn. */
  page: number;
}

/** @throws InputError when more labels are left out than a sheet has */
export async function printed({ as, sheet, labels, skip, page }: PrintJob): Promise<Uint8Array> {
  const on = LABEL_SHEETS.find((s) => s.id === sheet) as LabelSheet;
  return as === 'pdf'
    ? labelsPdf(on, labels, skip, labelFaces())
    : new TextEncoder().encode(labelsSvg(on, labels, skip, page, labelFaces()));
}
