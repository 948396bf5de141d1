/** The package keeps its metadata here but does not say so in its types; class-validator-jsonschema needs it. */
declare module 'class-transformer/cjs/storage.js' {
  export const defaultMetadataStorage: object;
}
