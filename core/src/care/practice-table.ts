import { provenanceText } from '../species';
import { PRACTICE, type PracticeFigure } from './practice';

/** A value as it is written in the field guide. */
function shown({ value, unit }: PracticeFigure): string {
  if (unit === 'share') return `${Math.round(value * 100)} %`;
  if (unit === 'looks') return value === 1 ? '1 look' : `${value} looks`;
  return `${Math.round(value * 100) / 100} ${unit}`;
}

/** Every figure of practice as a table in Markdown, in the order in which it stands. */
export function practiceTable(): string {
  const rows = Object.entries(PRACTICE as Record<string, PracticeFigure>).map(([id, f]) => [
    `\`${id}\``,
    shown(f),
    f.means,
    f.school ?? '',
    provenanceText(f.source),
  ]);
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [
    line(['figure', 'value', 'means', 'method', 'who says so']),
    line(Array.from({ length: 5 }, () => '---')),
    ...rows.map(line),
  ].join('\n');
}
