/** One thought a line, no colour or selector twice, nothing that a browser would throw away in silence. */
export default {
  ignoreFiles: ['public/**', 'vendor/**', 'node_modules/**', 'var/**'],
  rules: {
    'at-rule-no-unknown': [
      true,
      { ignoreAtRules: ['theme', 'source', 'utility', 'apply', 'layer', 'custom-variant'] },
    ],
    'block-no-empty': true,
    'color-no-invalid-hex': true,
    'declaration-block-no-duplicate-properties': true,
    'declaration-block-single-line-max-declarations': 1,
    'function-calc-no-unspaced-operator': true,
    'media-feature-name-no-unknown': true,
    'no-duplicate-selectors': true,
    'no-invalid-double-slash-comments': true,
    'property-no-unknown': true,
    'selector-pseudo-class-no-unknown': true,
    'selector-type-no-unknown': true,
    'shorthand-property-no-redundant-values': true,
    'unit-no-unknown': true,
  },
};
