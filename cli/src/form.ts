import { writeFile } from 'node:fs/promises';
import { readProjectFile, writeProjectFile } from '@grain-fold/contract';
import { madeOf, withForm, withFormsMade, type Airframe } from '@grain-fold/core/airframe';
import { parameterAt, withChanges, type Form, type ParameterChange } from '@grain-fold/core/forms';
import type { CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { readAirframe } from './project-file.ts';

/** A value as it was typed: a number where it reads as one, true and false, nothing as taken out. */
function valueOf(text: string): ParameterChange['value'] {
  if (text === '') return undefined;
  if (text === 'true' || text === 'false') return text === 'true';
  const number = Number(text);
  return Number.isFinite(number) ? number : text;
}

/** What a wing may be without, and be given here. */
const MAY_BE_LEFT_OUT = [
  'lapMm',
  'tipSparHeightMm',
  'tipChordMm',
  'digits',
  'build',
  'noseRoundMm',
  'noseRadiusMm',
  'sparMaterial',
  'balanceMm',
  'hinge',
  'hasUpperSkin',
];

/** `panels.0.spanMm=450,ends=bevelled` as changes. */
function changesOf(typed: string, form: Form): readonly ParameterChange[] {
  return typed.split(',').map((one): ParameterChange => {
    const at = one.indexOf('=');
    if (at < 1) throw new CliError('USAGE', `--set takes path=value, got "${one}".`);
    const path = one.slice(0, at).trim(),
      value = valueOf(one.slice(at + 1).trim());
    const before = parameterAt(form.parameters, path),
      isNew = before === undefined;
    if (typeof before === 'object')
      throw new CliError('USAGE', `"${path}" is a group of numbers: name one of ${Object.keys(before!).join(', ')}.`);
    if (isNew && !MAY_BE_LEFT_OUT.some((key) => path.endsWith(key)))
      throw new CliError('USAGE', `${form.name} has no "${path}".`);
    // Digits of a section are a text, 0012 too.
    return { path, value: path === 'section.digits' ? one.slice(at + 1).trim() : value };
  });
}

function chosenForm(airframe: Airframe, wanted: string | undefined): Form {
  const forms = airframe.forms ?? [];
  const form = wanted === undefined ? forms[0] : forms.find(({ id, name }) => id === wanted || name === wanted);
  if (!form)
    throw new CliError(
      'USAGE',
      forms.length === 0
        ? `${airframe.name} has no forms.`
        : `${airframe.name} has no form "${wanted}": ${forms.map(({ name }) => name).join(', ')}.`,
    );
  return form;
}

/** `form`: a form's figures, working and faults; with other numbers when they are set, and the airframe with its parts made anew when a file is named. */
export async function form(file: string, options: CliOptions): Promise<CommandOutcome> {
  const airframe = withFormsMade(await readAirframe(file, options)),
    before = chosenForm(airframe, options.form);
  const own = options.set === undefined ? before : withChanges(before, changesOf(options.set, before));
  const made = madeOf(own, airframe);
  const next = withForm(airframe, own),
    text = writeProjectFile(next),
    read = readProjectFile(text);
  // Numbers that make no parts are told as faults; what no fault tells, or is to be written, has to be sound.
  if (!read.ok && (options.out !== undefined || made.faults.length === 0))
    throw new CliError('USAGE', `With that the airframe is not sound: ${read.message}`);
  if (options.out !== undefined) await writeFile(options.out, text);
  return {
    exit: made.faults.length > 0 ? 'FAULTS' : 'OK',
    result: {
      airframe: airframe.name,
      form: own.name,
      parts: next.parts
        .filter(({ source }) => source?.formId === own.id)
        .map(({ name, source, quantity, handed }) => ({ name, role: source!.role, quantity, handed })),
      figures: made.figures ?? null,
      working: made.working,
      faults: made.faults.map(({ code, path, title, detail, mend }) => ({
        code,
        path,
        title,
        detail,
        ...(mend ? { mend: mend.label, changes: mend.changes } : {}),
      })),
      ...(options.out === undefined ? {} : { out: options.out }),
    },
  };
}
