/** Every error that a request can meet, with its status and a sentence that a person understands. */
const CODES = {
  invalid: { status: 400, says: 'The request does not have the right shape.' },
  'bad-json': { status: 400, says: 'The body is not valid JSON. Send a JSON object.' },
  'not-found': {
    status: 404,
    says: 'There is nothing at this address. See /api/openapi.json for what there is.',
  },
  'no-such-queen': { status: 404, says: 'No queen has this id. Take her in first.' },
  'no-such-place': { status: 404, says: 'No place has this id. Add the place first.' },
  'no-such-probe': { status: 404, says: 'No probe has this id. Add the probe first.' },
  'wrong-token': {
    status: 401,
    says: 'This is not the secret of the probe. Send it as "Authorization: Bearer …", or make a new one in Places.',
  },
  'too-often': {
    status: 429,
    says: 'This probe sends too often. Send several readings at once, some seconds apart.',
  },
  'no-such-item': { status: 404, says: 'Nothing in the stock has this id. Add it first.' },
  'wrong-host': {
    status: 421,
    says: 'This server is not known under that name. Ask it by one of its own, or add the name to BURROW_HOSTS and start it again.',
  },
  'bad-range': { status: 416, says: 'There is no such part of it. Ask for the whole.' },
  'too-deep': {
    status: 422,
    says: 'This has been put right and taken back too often. Write a new entry instead.',
  },
  'method-not-allowed': { status: 405, says: 'This address does not take that method.' },
  'id-taken': {
    status: 409,
    says: 'This id belongs to something else already, so it was not taken over. Write it down once more; whoever sends by a program makes a new id (UUID version 7).',
  },
  'half-told': {
    status: 422,
    says: 'What concerns two colonies is written into both logs at once, and says the same in both. Send both entries.',
  },
  'too-large': { status: 413, says: 'The request is too large. Send it in smaller parts.' },
  'no-such-kind': { status: 404, says: 'There is no kind of this id. Choose one from /api/species.' },
  'no-such-photo': { status: 404, says: 'No photo has this id, or it has not been sent yet.' },
  'not-a-picture': {
    status: 415,
    says: 'This is no picture that can be read. Choose a JPEG, PNG, WebP or AVIF.',
  },
  'too-many-pixels': {
    status: 413,
    says: 'The picture has more than 60 million pixels. Make it smaller first.',
  },
  'photo-too-large': { status: 413, says: 'The photo is larger than 16 MB. Make it smaller first.' },
  'not-a-backup': {
    status: 422,
    says: 'This is neither a backup nor a log of Gentle Burrow. Choose a backup (.zip), or a log as it was taken along (.jsonl).',
  },
  'backup-too-large': {
    status: 413,
    says: 'The file is larger than 4 GB. Bring it back with npm run restore.',
  },
  'wrong-type': { status: 415, says: 'The body is not JSON. Send it with content-type: application/json.' },
  'in-the-future': { status: 422, says: 'The date lies in the future. Correct it.' },
  'no-such-entry': { status: 422, says: 'The entry to put right is not in her log.' },
  'wrong-kind': {
    status: 422,
    says: 'A correction must be of the same kind as the entry that it puts right.',
  },
  'no-such-species': { status: 422, says: 'No species profile has this id. Choose one from /api/species.' },
  'not-usable': { status: 422, says: 'A value cannot be used.' },
  'disk-full': {
    status: 507,
    says: 'The disk is full, so this was not stored. Make room on the machine that runs Gentle Burrow; what was stored before can still be read.',
  },
  'disk-failed': {
    status: 503,
    says: 'The disk cannot be written, so this was not stored. Look at the disk, and at the rights to the data directory, on the machine that runs Gentle Burrow.',
  },
  'not-ours': {
    status: 503,
    says: 'Another process has opened the data of this server, so this was not stored. Stop one of the two.',
  },
  'database-away': {
    status: 503,
    says: 'The database cannot be reached just now, so nothing was stored. Try again in a moment.',
  },
  internal: {
    status: 500,
    says: 'Something went wrong in the server. What you sent was not stored; try again.',
  },
} as const;

export type ErrorCode = keyof typeof CODES;

/** A refusal with a code; the message says what is wrong and how to mend it. */
export class Refusal extends Error {
  override readonly name = 'Refusal';
  readonly status: number;

  constructor(
    readonly code: ErrorCode,
    message: string = CODES[code].says,
    readonly field?: string,
  ) {
    super(message);
    this.status = CODES[code].status;
  }

  /** After how many seconds it may be tried again; null when that would change nothing. */
  get retryAfterS(): number | null {
    return this.status === 503 ? 5 : this.status === 507 ? 60 : null;
  }

  body() {
    return {
      error: { code: this.code, message: this.message, ...(this.field ? { field: this.field } : {}) },
    };
  }
}

/** The server cannot start; the message is one clear sentence for the person who started it. */
export class StartError extends Error {
  override readonly name = 'StartError';
}
