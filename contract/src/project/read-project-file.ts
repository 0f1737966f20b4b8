import { parse, printParseErrorCode, type ParseError } from 'jsonc-parser';
import type { Airframe } from '@grain-fold/core/airframe';
import { brokenInvariant } from '@grain-fold/core/part';
import { brokenPlan } from '@grain-fold/core/plan';
import { worded } from '@grain-fold/core/units';
import { fieldFaults, strayFaults, type FieldFault } from '../field-faults.ts';
import { MIGRATIONS } from './migrations.ts';
import { PROJECT_FORMAT, PROJECT_FORMAT_VERSION, ProjectFileDto } from './project-file.dto.ts';

/** Largest project file taken in, in bytes. */
export const LARGEST_PROJECT_FILE = 8 * 1024 * 1024;

/** Airframes nest about ten deep; a parser's stack holds thousands. */
const DEEPEST_NESTING = 60;

/** Why a project file was not taken in. */
export type ProjectFileCode =
  'FILE_TOO_LARGE' | 'FILE_NOT_JSON' | 'FILE_OF_ANOTHER_KIND' | 'FILE_NEWER' | 'FILE_DAMAGED';
export type ReadProjectFile =
  | { readonly ok: true; readonly airframe: Airframe }
  | {
      readonly ok: false;
      readonly code: ProjectFileCode;
      readonly message: string;
      readonly faults: readonly FieldFault[];
    };

const refused = (code: ProjectFileCode, message: string, faults: readonly FieldFault[] = []): ReadProjectFile => ({
  ok: false,
  code,
  message,
  faults,
});

/**
 * Reads a project file. Older versions are brought up to date; newer ones, damaged ones and oversized ones are refused with the line
 * or field at fault.
 */
export function readProjectFile(text: string): ReadProjectFile {
  if (text.length > LARGEST_PROJECT_FILE)
    return refused(
      'FILE_TOO_LARGE',
      `The file has ${(text.length / 1048576).toFixed(1)} MiB; at most ${LARGEST_PROJECT_FILE / 1048576} MiB are taken in.`,
    );
  const deep = lineBeyondDepth(text);
  if (deep !== undefined)
    return refused(
      'FILE_NOT_JSON',
      `Line ${deep}: brackets are nested more than ${DEEPEST_NESTING} deep. An airframe nests less.`,
    );
  const errors: ParseError[] = [];
  const data: unknown = parse(text.replace(/^\uFEFF/, ''), errors, {
    disallowComments: true,
    allowTrailingComma: false,
  });
  const first = errors[0];
  if (first) {
    const before = text.slice(0, first.offset).split('\n');
    return refused(
      'FILE_NOT_JSON',
      `Line ${before.length}, column ${before.at(-1)!.length + 1}: ${words(printParseErrorCode(first.error))}. The file is damaged or was cut off.`,
    );
  }
  // Assigning this key would give an object another prototype instead of a field.
  if (/"__proto__"\s*:/.test(text))
    return refused('FILE_DAMAGED', '__proto__: is not a known field.', [
      { field: '__proto__', message: 'is not a known field' },
    ]);
  return readProjectData(data);
}

/** The line at which brackets nest too deep, strings skipped; undefined when they never do. */
function lineBeyondDepth(text: string): number | undefined {
  let depth = 0,
    line = 1,
    isString = false;
  for (let at = 0; at < text.length; at++) {
    const letter = text[at];
    if (letter === '\n') line += 1;
    if (isString) {
      if (letter === '\\') at += 1;
      else if (letter === '"') isString = false;
    } else if (letter === '"') isString = true;
    else if (letter === '[' || letter === '{') {
      depth += 1;
      if (depth > DEEPEST_NESTING) return line;
    } else if (letter === ']' || letter === '}') depth -= 1;
  }
  return undefined;
}

/** The same for data that is parsed already. */
export function readProjectData(data: unknown): ReadProjectFile {
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== PROJECT_FORMAT) {
    return refused(
      'FILE_OF_ANOTHER_KIND',
      `This is not a Grain Fold airframe: its format field is not "${PROJECT_FORMAT}".`,
    );
  }
  const version = (data as { formatVersion?: unknown }).formatVersion;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refused('FILE_DAMAGED', 'formatVersion: must be a whole number from 1.', [
      { field: 'formatVersion', message: 'must be a whole number from 1' },
    ]);
  if (version > PROJECT_FORMAT_VERSION)
    return refused(
      'FILE_NEWER',
      `The file has format version ${version}; this program reads up to ${PROJECT_FORMAT_VERSION}. Open it with a newer Grain Fold.`,
    );
  // Older versions are brought up to date by what takes them to be sound.
  const [stray] = strayFaults(data);
  if (stray) return refused('FILE_DAMAGED', `${stray.field}: ${stray.message}.`, [stray]);
  const current = MIGRATIONS.slice(version - 1).reduce(
    (file, migrate) => migrate(file),
    data as Readonly<Record<string, unknown>>,
  );
  const faults = fieldFaults(ProjectFileDto, current);
  const all =
    faults.length > 0
      ? faults
      : [crossFaults, formlessParts, standingByNone].flatMap((check) => check(current as unknown as Airframe));
  const firstFault = all[0];
  if (firstFault) return refused('FILE_DAMAGED', `${firstFault.field}: ${firstFault.message}.`, all);
  const { format: _format, formatVersion: _formatVersion, ...airframe } = current;
  return { ok: true, airframe: airframe as unknown as Airframe };
}

/** What no single field shows: broken parts, and ids that clash or lead nowhere. */
export function crossFaults(
  airframe: Pick<Airframe, 'parts' | 'boards' | 'nest' | 'plan' | 'forms'>,
): readonly FieldFault[] {
  const faults: FieldFault[] = [];
  airframe.parts.forEach((part, index) => {
    const broken = brokenInvariant(part);
    if (broken) faults.push({ field: `parts[${index}].${broken.field}`, message: worded(broken.message, 'mm') });
  });
  const broken = airframe.plan && brokenPlan(airframe.plan);
  if (broken) faults.push({ field: `plan.${broken.field}`, message: worded(broken.message, 'mm') });
  for (const [list, ids] of [
    ['parts', airframe.parts.map((part) => part.id)],
    ['boards', airframe.boards.map((board) => board.id)],
    ['forms', (airframe.forms ?? []).map((form) => form.id)],
  ] as const) {
    ids.forEach((id, index) => {
      if (ids.indexOf(id) !== index) faults.push({ field: `${list}[${index}].id`, message: `"${id}" is used twice` });
    });
  }
  return faults;
}

/** Parts whose form is not in the file. */
function formlessParts({ parts, forms = [] }: Airframe): readonly FieldFault[] {
  const known = new Set(forms.map(({ id }) => id));
  return parts.flatMap(({ source }, index) =>
    source && !known.has(source.formId)
      ? [{ field: `parts[${index}].source.formId`, message: `there is no form "${source.formId}"` }]
      : [],
  );
}

/** Forms that stand by one that is not in the file, or that stands by another itself. */
function standingByNone({ forms = [] }: Airframe): readonly FieldFault[] {
  return forms.flatMap(({ id, standsBy }, index) => {
    if (!standsBy) return [];
    const leader = forms.find((form) => form.id === standsBy.formId);
    if (leader && leader.id !== id && !leader.standsBy) return [];
    const message = leader ? `"${standsBy.formId}" stands by another itself` : `there is no form "${standsBy.formId}"`;
    return [{ field: `forms[${index}].standsBy.formId`, message }];
  });
}

/** An airframe as the text of a project file; reading it back gives the same airframe. */
export function writeProjectFile(airframe: Airframe): string {
  return `${JSON.stringify({ format: PROJECT_FORMAT, formatVersion: PROJECT_FORMAT_VERSION, ...airframe }, null, 1)}\n`;
}

const words = (code: string): string => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
