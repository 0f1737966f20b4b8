/** Every error that the server answers with: its status, what it says, and what the reader can do. */
export const ERROR_CODES = {
  BAD_REQUEST: { status: 400, title: 'The request could not be read', mend: 'Check the fields that are named.' },
  FILE_TOO_LARGE: { status: 413, title: 'The file is too large', mend: 'Split the airframe into two files.' },
  ATTACHMENT_REFUSED: {
    status: 400,
    title: 'The picture is not taken in',
    mend: 'Choose a PNG, JPEG, SVG, DXF or PDF that opens elsewhere.',
  },
  FILE_NOT_JSON: {
    status: 400,
    title: 'The file is not JSON',
    mend: 'Export the airframe again, or mend the line that is named.',
  },
  FILE_OF_ANOTHER_KIND: {
    status: 400,
    title: 'The file is not an airframe',
    mend: 'Choose a file that ends in .grainfold.json.',
  },
  FILE_NEWER: {
    status: 400,
    title: 'The file is from a newer program',
    mend: 'Update Grain Fold, then import it again.',
  },
  FILE_DAMAGED: {
    status: 400,
    title: 'The file is damaged',
    mend: 'Mend the field that is named, or export the airframe again.',
  },
  SIGN_IN_NEEDED: {
    status: 401,
    title: 'You are not signed in',
    mend: 'Sign in and try again; your edits are kept here.',
  },
  SIGN_IN_REFUSED: { status: 401, title: 'Name or password is wrong', mend: 'Check both and try again.' },
  WRONG_ORIGIN: {
    status: 403,
    title: 'The request came from another site',
    mend: 'Open Grain Fold itself and try there.',
  },
  WRONG_HOST: {
    status: 421,
    title: 'The request is meant for another server',
    mend: 'Open Grain Fold by the address that it printed when it started.',
  },
  NOT_FOUND: { status: 404, title: 'There is nothing here', mend: 'Go back to your airframes.' },
  NAME_TAKEN: { status: 409, title: 'That name is taken', mend: 'Choose another name.' },
  WORKSHOP_FULL: {
    status: 409,
    title: 'Your workshop is full',
    mend: 'Download the airframes that you keep as project files, and go on in a new workshop.',
  },
  DEMO_FULL: { status: 409, title: 'The demo workshop is full', mend: 'Reset it from the list of airframes.' },
  STALE_SAVE: { status: 409, title: 'Somebody saved a newer version', mend: 'Keep theirs, or keep both.' },
  OUT_OF_RANGE: {
    status: 422,
    title: 'A number of the airframe is out of its range',
    mend: 'Change the number that is named.',
  },
  CANNOT_PRINT: { status: 422, title: 'These page settings cannot print', mend: 'Change the number that is named.' },
  TOO_MANY_TRIES: { status: 429, title: 'Too many tries', mend: 'Wait a minute and try again.' },
  TOO_MANY_DOCUMENTS: {
    status: 429,
    title: 'You wait for several documents already',
    mend: 'Wait until one of them is there, then ask again.',
  },
  TOO_MANY_NESTS: {
    status: 429,
    title: 'Several searches for nests wait already',
    mend: 'Wait until one has ended, or stop one on its airframe.',
  },
  DOCUMENT_TOO_LARGE: {
    status: 422,
    title: 'This document takes longer than a minute, or more memory than there is',
    mend: 'Choose a smaller scale, a larger sheet or fewer parts.',
  },
  SERVER_FAULT: { status: 500, title: 'The server failed', mend: 'Try again; what was saved is safe.' },
  DATABASE_AWAY: {
    status: 503,
    title: 'The database does not answer',
    mend: 'Wait; your edits are kept here and saved when it is back.',
  },
} as const;

export type ErrorCode = keyof typeof ERROR_CODES;

/** An error as the server sends it, `application/problem+json`. */
export interface Problem {
  readonly type: 'about:blank';
  readonly status: number;
  readonly code: ErrorCode;
  readonly title: string;
  readonly detail: string;
  readonly mend: string;
  readonly fields?: readonly { readonly field: string; readonly message: string }[];
  readonly conflicts?: readonly Conflict[];
}

/** Something that was saved by another while it was edited here. */
export interface Conflict {
  readonly kind: 'settings' | 'part' | 'board' | 'nest' | 'plan' | 'form';
  readonly id: string;
  /** The newer state; value null when it was removed. */
  readonly current: { readonly version: number; readonly value: unknown };
}
