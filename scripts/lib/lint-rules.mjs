/** Rules of our own. */

const WRITES = new Set(['AssignmentExpression', 'UpdateExpression']);

/**
 * Whatever may come from a document, a request or a person is no key to write under in a plain object: `__proto__` would lead to
 * what every object inherits. A `Map`, or entries that are joined at last, take any name.
 */
const noWrittenNames = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { written: 'Names are written into a Map or joined from entries, not into a plain object.' },
  },
  create(context) {
    const { program, esTreeNodeToTSNodeMap } = context.sourceCode.parserServices;
    const checker = program.getTypeChecker();
    const STRING = 4;
    const typeOf = (node) => checker.getTypeAtLocation(esTreeNodeToTSNodeMap.get(node));
    const isText = (type) => (type.isUnion() ? type.types.some(isText) : (type.flags & STRING) !== 0);
    return {
      MemberExpression(node) {
        const { parent, computed, object, property } = node;
        const isWritten = WRITES.has(parent.type) && (parent.left === node || parent.argument === node);
        if (!computed || !isWritten || !isText(typeOf(property))) return;
        if (checker.getIndexInfosOfType(checker.getApparentType(typeOf(object))).length > 0)
          context.report({ node, messageId: 'written' });
      },
    };
  },
};

export const ownRules = { rules: { 'no-written-names': noWrittenNames } };
