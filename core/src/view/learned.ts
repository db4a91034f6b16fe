import { addEvidence, type KindEvidence, type Learned } from '../founding';
import type { Lesson } from './basis';

/** What a keeper's queens say of their kinds, together. */
export function learnedFrom(lessons: Iterable<Lesson>): Learned {
  const learned: Learned = {};
  for (const one of lessons)
    if (one) learned[one.profileId] = addEvidence(learned[one.profileId] ?? {}, one.stages);
  return learned;
}

/**
 * What the others say of each kind: no queen teaches herself.
 * @param learned a sum that holds her lesson
 * @param own exactly the lesson that was added for her; null when none was
 */
export function withoutOwn(learned: Learned, own: Lesson): Learned {
  if (!own) return learned;
  const all: KindEvidence = learned[own.profileId] ?? {};
  return { ...learned, [own.profileId]: addEvidence(all, own.stages, -1) };
}
