export default {
    extends: ['stylelint-config-standard'],
    rules: {
        // Tailwind's own (theme.css, app.css).
        'at-rule-no-unknown': [true, { ignoreAtRules: ['theme', 'apply', 'source', 'layer', 'utility', 'variant', 'custom-variant'] }],
        'import-notation': null,
        // Rules stand beside the part of the page that they draw, which of two unrelated ones comes first says nothing.
        'no-descending-specificity': null,
    },
};
