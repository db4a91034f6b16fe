import { LABEL_SHEETS, placeLabels } from '@gentle-burrow/core/labels';
import { inZone } from '@/ui/download';
import { readDraft } from '@/ui/drafts';

/** The label of one queen as it is printed on label paper, cut out of its sheet: its code opens her look. */
export function LabelCode({ id }: { id: string }) {
  const sheet = LABEL_SHEETS.find((s) => s.id === 'a4-3x8') ?? LABEL_SHEETS[0]!;
  const [at] = placeLabels(sheet, 1, 0);
  // the address by which the telephone reaches it, as it was given for labels
  const origin = readDraft<{ origin?: string }>('labels')?.origin ?? window.location.origin;
  const query = new URLSearchParams({
    queens: id,
    sheet: sheet.id,
    skip: '0',
    origin,
  });
  if (!at) return null;
  return (
    <div
      style={{
        position: 'relative',
        overflow: 'hidden',
        flexShrink: 0,
        width: `${sheet.label.widthMm}mm`,
        height: `${sheet.label.heightMm}mm`,
      }}
    >
      <img
        alt="Her label, with its code"
        src={inZone(`/api/labels.svg?${query.toString()}`)}
        style={{
          position: 'absolute',
          left: `${-at.xMm}mm`,
          top: `${-at.yMm}mm`,
          width: `${sheet.page.widthMm}mm`,
          maxWidth: 'none',
        }}
      />
    </div>
  );
}
