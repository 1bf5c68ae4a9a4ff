/**
 * Refuses an edit that reads what the page shows *now* instead of what was meant when it was asked for.
 *
 * An edit is a function that runs later, on what is stored when its turn comes. Where it reads a `$derived`, a `$state` or a
 * prop, it reads them as they are by then: the block that is open by then, not the one whose answer was typed.
 */
const EDITS = /^(?:(?:on)?(?:change|edit|set|keep|add|rebuild)\w*|storeCut)$/i;
const RUNES = new Set(['$derived', '$state', '$props']);

/** Whether a variable follows the page: made by a rune, as `$derived.by(…)`, or by `{@const}`. */
function follows(definition) {
  if (definition?.node?.parent?.type === 'SvelteConstTag') return true;
  const made = definition?.node?.init;
  if (made?.type !== 'CallExpression') return false;
  const callee = made.callee.type === 'MemberExpression' ? made.callee.object : made.callee;
  return callee.type === 'Identifier' && RUNES.has(callee.name);
}

const nameOf = (callee) =>
  callee.type === 'Identifier'
    ? callee.name
    : callee.type === 'MemberExpression' && callee.property.type === 'Identifier'
      ? callee.property.name
      : '';

/** The functions that run later: arguments of an edit, also inside an object that is one. */
function laterOf(argument) {
  if (argument.type === 'ArrowFunctionExpression' || argument.type === 'FunctionExpression')
    return argument.params.length > 0 ? [argument] : [];
  if (argument.type === 'ObjectExpression')
    return argument.properties.flatMap((property) => (property.value ? laterOf(property.value) : []));
  return [];
}

export default {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      late: '“{{name}}” is read when the edit runs, not when it was asked for: take its value into a const before.'
    }
  },
  create(context) {
    const { scopeManager } = context.sourceCode;
    return {
      CallExpression(node) {
        if (!EDITS.test(nameOf(node.callee))) return;
        for (const later of node.arguments.flatMap(laterOf)) {
          const scope = scopeManager.acquire(later);
          for (const { identifier, resolved } of scope?.through ?? []) {
            const called =
              identifier.parent?.type === 'CallExpression' && identifier.parent.callee === identifier;
            const emptied =
              identifier.parent?.type === 'MemberExpression' &&
              identifier.parent.property.name === 'currentTarget';
            if (emptied || (follows(resolved?.defs[0]) && !called))
              context.report({ node: identifier, messageId: 'late', data: { name: identifier.name } });
          }
        }
      }
    };
  }
};
