import type { Food } from '../facts';

/** A food as it stands in sentences: its noun, and whether it is one or many. */
interface FoodWords {
  noun: string;
  was: 'was' | 'were';
  comes: 'comes' | 'come';
  /** Of it: "any of it is left". */
  it: 'it' | 'them';
  subject: 'it' | 'they';
}

const one = (noun: string): FoodWords => ({ noun, was: 'was', comes: 'comes', it: 'it', subject: 'it' });
const many = (noun: string): FoodWords => ({ noun, was: 'were', comes: 'come', it: 'them', subject: 'they' });

export const FOOD_WORDS: Record<Food, FoodWords> = {
  sugar: one('sugar'),
  protein: one('protein'),
  seeds: many('seeds'),
  leaves: many('leaves'),
};
