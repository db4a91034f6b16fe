/** A value that cannot be used. The message is a sentence for the keeper: what is wrong, and how to mend it. */
export class InputError extends Error {
  override readonly name = 'InputError';

  /**
   * @param field the name of the value at fault, as the caller gave it
   * @param message a full sentence
   */
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}

/** Throws an InputError with this sentence unless the condition holds. */
export function need(condition: boolean, field: string, sentence: string): asserts condition {
  if (!condition) throw new InputError(field, sentence);
}

/** Bounds for a number, both inclusive. */
export interface Bounds {
  min: number;
  max: number;
  /** Shown behind the bounds, such as "mm". */
  unit: string;
}

/**
 * Returns the value when it is a finite number within the bounds.
 * @throws InputError naming the value in the keeper's words
 */
export function within(value: number, field: string, name: string, { min, max, unit }: Bounds): number {
  // asked very often: a sentence is only made when it is needed
  if (typeof value !== 'number' || !Number.isFinite(value))
    need(false, field, `${name} is not a number. Give a number between ${min} and ${max} ${unit}.`);
  if (value < min || value > max)
    need(
      false,
      field,
      `${name} (${round(value)} ${unit}) is outside ${min} to ${max} ${unit}. Check the figure and its unit.`,
    );
  return value;
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
