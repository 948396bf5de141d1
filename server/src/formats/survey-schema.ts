// The models must be loaded, or there is nothing to describe.
import { Survey, SURVEY_FORMAT, SURVEY_VERSION } from '@keen-gauge/core/survey/survey';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

type Schema = Record<string, unknown>;

/**
 * The JSON Schema of the open format, made from the same models that check a survey, so that the two cannot part. What
 * a schema cannot say (links between parts, one size a load) is in docs/formats/survey.md.
 */
export function surveySchema(): Schema {
  const definitions = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage as never,
    refPointerPrefix: '#/$defs/',
  }) as Record<string, Schema & { properties?: Record<string, Schema> }>;
  const wanted = reachable(Survey.name, definitions);
  const { [Survey.name]: survey, ...parts } = Object.fromEntries(
    [...wanted].map((name) => [name, { ...definitions[name], additionalProperties: false }]),
  );
  const properties = (survey as { properties: Schema }).properties;
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: `${SURVEY_FORMAT}, version ${SURVEY_VERSION}`,
    description: 'A survey of one electricity supply. Whatever is left out is not known. See docs/formats/survey.md.',
    ...survey,
    properties: { ...properties, format: { const: SURVEY_FORMAT }, version: { const: SURVEY_VERSION } },
    required: ['format', 'version'],
    $defs: parts,
  };
}

/** The definitions a schema leads to, itself first. */
function reachable(start: string, definitions: Record<string, Schema>): Set<string> {
  const found = new Set([start]);
  for (const name of found)
    for (const [, inner] of JSON.stringify(definitions[name] ?? {}).matchAll(/#\/\$defs\/(\w+)/g))
      if (inner) found.add(inner);
  return found;
}
