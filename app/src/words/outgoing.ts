import type { Outgoing } from '@/data/outbox';
import { dayText } from '@/ui/dates';
import { KIND_NOUNS } from './kinds';

/** What was written, inside a sentence: "the look of 3 May". */
export function outgoingWords(out: Outgoing): string {
  switch (out.what) {
    case 'entries': {
      const [entry] = out.entries;
      return entry ? `the ${KIND_NOUNS[entry.kind]} of ${dayText(entry.at)}` : 'an entry';
    }
    case 'queen':
      return `the intake of ${out.body.queen.label}`;
    case 'queen-patch':
      return 'a change to her card';
    case 'place':
      return `the place “${out.place.name}”`;
    case 'probe':
      return `the probe “${out.probe.name}”`;
    case 'own-kind':
      return `your profile “${out.kind.name}”`;
    case 'stock-item':
      return `“${out.item.name}” of the stock`;
    case 'stock-move':
      return 'a change of the stock';
    case 'settings':
      return 'your settings';
    case 'photo':
      return `the photo of ${dayText(out.at)}`;
    case 'readings':
    case 'readings-taken-back':
      return 'readings of a probe';
  }
}
