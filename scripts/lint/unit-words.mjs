/** Where the words of a unit may stand: the room that words quantities, and files that speak of files or of the program's own measures. */
const MAY_SAY = [
  /(^|\/)core\/src\/units\//,
  // A bare nest instance is in mm, and says so.
  /(^|\/)core\/src\/nesting\/(read-instance|check-layout)\.ts$/,
  // SVG has sizes in mm.
  /(^|\/)core\/src\/folds\/folded-faces\.ts$/,
  // Both bars stand on every page, in both units.
  /(^|\/)core\/src\/pages\/page-(bars|footer)\.ts$/,
  // Errors of the program itself, which no builder reads.
  /(^|\/)core\/src\/allowance\//,
  // The unit is chosen here, by its name.
  /(^|\/)web\/src\/stations\/airframes\/NewAirframeDialog\.vue$/,
];
const UNIT_WORD = /(^|[\s\d}])(mm|cm|cm²|m²|g\/m²)(?=$|[\s.,;:)])/;

/** Refuses the word of a unit in a text: quantities are worded for the builder's unit by core/src/units. */
export const unitWords = {
  meta: { type: 'problem', schema: [], messages: { worded: 'Word the quantity by core/src/units: "{{text}}".' } },
  create(context) {
    if (MAY_SAY.some((file) => file.test(context.filename.replaceAll('\\', '/')))) return {};
    const look = (node, text, isWhole) => {
      // A unit alone is its name, as a choice or as a figure's small print of the kit.
      if (text && UNIT_WORD.test(text) && !(isWhole && /^(mm|in)$/.test(text)))
        context.report({ node, messageId: 'worded', data: { text: text.trim().slice(0, 60) } });
    };
    const inScript = {
      Literal: (node) => typeof node.value === 'string' && look(node, node.value, true),
      TemplateElement: (node) => look(node, node.value.raw, false),
    };
    const { defineTemplateBodyVisitor } = context.sourceCode.parserServices ?? {};
    return defineTemplateBodyVisitor
      ? defineTemplateBodyVisitor({ VText: (node) => look(node, node.value, false), ...inScript }, inScript)
      : inScript;
  },
};
