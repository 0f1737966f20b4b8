import 'reflect-metadata';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { getMetadataStorage } from 'class-validator';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { featureTraits } from '@grain-fold/core/features';
import { traitsOf } from '@grain-fold/core/operations';
import { FEATURE_TYPES, GUIDE_TYPES } from '../project/feature.dto.ts';
import { FORM_TYPES } from '../project/form.dto.ts';
import { OPERATION_TYPES } from '../project/operation.dto.ts';
import { SEGMENT_TYPES } from '../project/path.dto.ts';
import {
  CALIBRATION_TYPES,
  GUIDE_FROM_TYPES,
  PlanGuideDto,
  PlanDto,
  PlanSheetDto,
  SCHOOL_TYPES,
} from '../project/plan.dto.ts';
import { THING_TYPES } from '../project/planned-thing.dto.ts';
import { PROJECT_FORMAT, PROJECT_FORMAT_VERSION, ProjectFileDto } from '../project/project-file.dto.ts';

type Schema = Record<string, unknown> & { properties?: Record<string, Schema>; required?: string[] };
type Subtypes = readonly { readonly value: new () => object; readonly name: string }[];

const TYPES: Subtypes = [
  ...FORM_TYPES,
  ...SEGMENT_TYPES,
  ...OPERATION_TYPES,
  ...FEATURE_TYPES,
  ...GUIDE_TYPES,
  ...THING_TYPES,
  ...CALIBRATION_TYPES,
  ...GUIDE_FROM_TYPES,
  ...SCHOOL_TYPES,
];
/** Fields that are one object of several classes. */
const CHOSEN_FIELDS: readonly (readonly [owner: string, field: string, types: Subtypes])[] = [
  [PlanSheetDto.name, 'calibration', CALIBRATION_TYPES],
  [PlanGuideDto.name, 'from', GUIDE_FROM_TYPES],
  [PlanDto.name, 'school', SCHOOL_TYPES],
];
const POINTER = '#/$defs/';
const options = {
  classTransformerMetadataStorage: defaultMetadataStorage,
  classValidatorMetadataStorage: getMetadataStorage(),
  refPointerPrefix: POINTER,
  // Lists tell their things themselves.
  additionalConverters: { eachIsObject: () => ({}) },
};

/** Fields that may say "auto" instead of a number. */
const AUTO_FIELDS: Readonly<Record<string, readonly string[]>> = {
  ...Object.fromEntries(
    FEATURE_TYPES.map(({ value, name }) => [
      value.name,
      featureTraits(name).fields.flatMap(({ key, auto }) => (auto ? [key] : [])),
    ]),
  ),
  ...Object.fromEntries(
    OPERATION_TYPES.map(({ value, name }) => [
      value.name,
      traitsOf(name).fields.flatMap(({ key, auto }) => (auto === undefined ? [] : [key])),
    ]),
  ),
};

/** One of several classes, told apart by their kind. */
const oneOf = (types: Subtypes): Schema => ({ oneOf: types.map(({ value }) => ({ $ref: POINTER + value.name })) });

/**
 * The JSON Schema (draft 2020-12) of the project file, made from the same classes that imported files are checked with.
 * Rules between fields (ids that lead nowhere, counts of nodes and segments) are beyond a schema and checked by the program alone.
 */
export function projectSchema(): Schema {
  const all = validationMetadatasToSchemas(options) as Record<string, Schema>;
  const own = (name: string): Schema => {
    // A class without fields of its own has its parent's.
    const type = TYPES.find(({ value }) => value.name === name)?.value;
    const schema = structuredClone(all[name] ?? all[Object.getPrototypeOf(type).name as string])!;
    const properties = schema.properties ?? {};
    for (const field of AUTO_FIELDS[name] ?? []) properties[field] = { anyOf: [properties[field]!, { const: 'auto' }] };
    for (const [field, types] of [
      ['segments', SEGMENT_TYPES],
      ['operations', OPERATION_TYPES],
      ['features', FEATURE_TYPES],
      ['guides', GUIDE_TYPES],
      ['things', THING_TYPES],
      ['forms', FORM_TYPES],
    ] as const)
      // The guides of a plan are of one class.
      if (properties[field] && !(field === 'guides' && name === PlanDto.name)) properties[field].items = oneOf(types);
    for (const [owner, field, types] of CHOSEN_FIELDS) if (owner === name) properties[field] = oneOf(types);
    const kind = TYPES.find(({ value }) => value.name === name);
    if (kind) properties.kind = { const: kind.name };
    const required = [...new Set([...(schema.required ?? []), ...(AUTO_FIELDS[name] ?? [])])].sort();
    return { ...schema, properties, required, additionalProperties: false };
  };
  const names = reachable(ProjectFileDto.name, own);
  const root = own(ProjectFileDto.name);
  root.properties!.format = { const: PROJECT_FORMAT };
  root.properties!.formatVersion = { const: PROJECT_FORMAT_VERSION };
  const schema = {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Grain Fold airframe',
    description: 'A project file of Grain Fold, *.grainfold.json. Lengths in mm, angles in degrees, y up.',
    ...root,
    $defs: Object.fromEntries(
      names
        .filter((name) => name !== ProjectFileDto.name)
        .sort()
        .map((name) => [name, own(name)]),
    ),
  };
  // Classes are called GrooveDto and so on; readers of the schema meet Groove.
  return JSON.parse(JSON.stringify(schema).replaceAll('Dto"', '"')) as Schema;
}

/** Names of the classes that a class leads to, itself first. */
function reachable(start: string, schemaOf: (name: string) => Schema): readonly string[] {
  const found = [start];
  for (const name of found) {
    for (const [, next] of JSON.stringify(schemaOf(name)).matchAll(/"#\/\$defs\/(\w+)"/g))
      if (!found.includes(next!)) found.push(next!);
  }
  return found;
}

/** The schema as the text that the documentation holds. */
export const projectSchemaText = (): string => `${JSON.stringify(projectSchema(), null, 1)}\n`;
