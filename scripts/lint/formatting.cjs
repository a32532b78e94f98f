/** Whether an expression is nothing but numbers in arrays and records: a table whose columns mean something. */
function isNumbers(node) {
  switch (node?.type) {
    case 'ArrayExpression':
      return node.elements.every(isNumbers);
    case 'ObjectExpression':
      return node.properties.every((property) => property.type === 'Property' && isNumbers(property.value));
    case 'TSAsExpression':
    case 'TSSatisfiesExpression':
      return isNumbers(node.expression);
    case 'UnaryExpression':
      return node.operator === '-' && isNumbers(node.argument);
    case 'Literal':
      return typeof node.value === 'number';
    default:
      return false;
  }
}

/** Refuses `prettier-ignore` but over a declaration of a table of numbers. */
const noExemption = {
  meta: {
    type: 'layout',
    schema: [],
    messages: { exempt: 'The formatter has the last word: only a table of numbers may be left as it is.' },
  },
  create(context) {
    const { sourceCode } = context;
    return {
      Program(program) {
        const tables = new Set(
          program.body
            .flatMap((statement) => [statement, statement.declaration])
            .filter((node) => node?.type === 'VariableDeclaration' && node.declarations.every((d) => isNumbers(d.init)))
            // Of `export const` the comment stands before the whole statement.
            .flatMap((node) => [node, node.parent].flatMap((each) => sourceCode.getCommentsBefore(each))),
        );
        for (const comment of sourceCode.getAllComments()) {
          if (/^\s*prettier-ignore/.test(comment.value) && !tables.has(comment)) {
            context.report({ loc: comment.loc, messageId: 'exempt' });
          }
        }
      },
    };
  },
};

module.exports = { rules: { 'no-exemption': noExemption } };
