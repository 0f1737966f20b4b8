/** Words of the program's inside; docs/builder/words.md has the builder's word for each. */
const BANNED =
  /\b(nodes?|vertex|vertices|polylines?|segments?|operations?|iterations?|seeds?|orders tried|orders to try|revisions?|way is free|draw over)\b/i;

/** Files whose sentences no builder reads: they speak of the fields of a file, or of data that cannot be. */
const MAY_SAY = [
  /(^|\/)core\/src\/part\/invariants\.ts$/,
  /(^|\/)core\/src\/paths\//,
  /(^|\/)core\/src\/nesting\/(read-instance|check-layout)\.ts$/,
];
/** Attributes that are read or spoken. */
const READ = ['label', 'title', 'aria-label', 'placeholder', 'word', 'hint', 'alt'];

/** Refuses words of the program's inside in what a builder reads: texts of templates, and every sentence of the code. */
export const buildersWords = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { banned: 'A builder reads this: docs/builder/words.md has another word for "{{word}}".' },
  },
  create(context) {
    if (MAY_SAY.some((file) => file.test(context.filename.replaceAll('\\', '/')))) return {};
    const look = (node, text) => {
      const word = BANNED.exec(text)?.[0];
      if (word) context.report({ node, messageId: 'banned', data: { word } });
    };
    const isSentence = (text) => /\S\s+\S/.test(text);
    const inScript = {
      Literal: (node) => typeof node.value === 'string' && isSentence(node.value) && look(node, node.value),
      TemplateLiteral: (node) => {
        const text = node.quasis.map(({ value }) => value.raw).join('…');
        if (isSentence(text)) look(node, text);
      },
    };
    const { defineTemplateBodyVisitor } = context.sourceCode.parserServices ?? {};
    return defineTemplateBodyVisitor
      ? defineTemplateBodyVisitor(
          {
            VText: (node) => look(node, node.value),
            VAttribute: (node) =>
              !node.directive && READ.includes(node.key.name) && look(node, node.value?.value ?? ''),
            ...inScript,
          },
          inScript,
        )
      : inScript;
  },
};
