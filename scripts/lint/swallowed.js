/**
 * Refuses what throws an error away: a `catch` that does not look at its problem, and a promise’s `.catch(() => …)` or
 * `.then(…, () => …)` that does not take it. What went wrong is told, used or thrown on.
 */
const isFunction = (node) => node?.type === 'ArrowFunctionExpression' || node?.type === 'FunctionExpression';

export default {
  meta: {
    type: 'problem',
    schema: [],
    messages: { swallowed: 'The error is thrown away here: say why it could not be done, or let it through.' }
  },
  create(context) {
    return {
      CatchClause(node) {
        const [problem] = node.param ? context.sourceCode.getDeclaredVariables(node) : [];
        if (!problem || problem.references.length === 0) context.report({ node, messageId: 'swallowed' });
      },
      CallExpression({ callee, arguments: given }) {
        if (callee.type !== 'MemberExpression' || callee.property.type !== 'Identifier') return;
        const handler = { catch: given[0], then: given[1] }[callee.property.name];
        if (isFunction(handler) && handler.params.length === 0)
          context.report({ node: handler, messageId: 'swallowed' });
      }
    };
  }
};
