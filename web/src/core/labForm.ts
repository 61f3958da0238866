/** What may be written into a lab, as the core declares it: the JSON Schema of labs. */
import form from './generated/lab-form.json';

export interface Schema {
  type?: string | string[];
  enum?: string[];
  const?: string;
  $ref?: string;
  oneOf?: Schema[];
  items?: Schema;
  properties?: Record<string, Schema>;
  required?: string[];
  additionalProperties?: Schema;
  description?: string;
  maxLength?: number;
  contentMediaType?: string;
  minimum?: number;
  maximum?: number;
  maxItems?: number;
}

const DEFS = form.$defs as unknown as Record<string, Schema>;

/** The structure that a schema refers to, or itself. */
export function resolved(schema: Schema): Schema {
  return schema.$ref ? DEFS[schema.$ref.split('/').at(-1)!] : schema;
}

/** A kind of block: its type, its name in words, what it is for, how it is written. */
export interface BlockForm {
  type: string;
  name: string;
  about: string;
  schema: Schema;
}

/** `NumberQuestion`, `reasonPrompt` and `found-by` in words. */
export function inWords(name: string) {
  const words = name.replace(/([a-z])([A-Z])/g, '$1 $2').replace(/-/g, ' ');
  return words[0].toUpperCase() + words.slice(1).toLowerCase();
}

export const labSchema = DEFS.Sheet;
export const partSchema = DEFS.Part;
/** Kinds whose names in the schema aren't a teacher's words. */
const NAMES: Record<string, string> = { films: 'Recordings', bench: 'Open bench' };
/** Every kind of block, in the order in which the core lists them. */
export const blockForms: BlockForm[] = partSchema.properties!.blocks.items!.oneOf!.map((ref) => {
  const schema = resolved(ref);
  return {
    type: schema.properties!.type.const!,
    name: NAMES[schema.properties!.type.const!] ?? inWords(ref.$ref!.split('/').at(-1)!),
    about: schema.description ?? '',
    schema,
  };
});
