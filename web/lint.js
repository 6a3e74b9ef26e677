// Rules of our own for the linter. Rules of the job are the core's. A screen sends a choice it was given and asks the session what may be done.
const isRole = (node) =>
  (node.type === "Identifier" && node.name === "role") ||
  (node.type === "MemberExpression" && node.property.name === "role");

export default {
  meta: { name: "ridgefall" },
  rules: {
    "facts-come-as-choices": {
      create: (context) => ({
        Property(node) {
          const value = node.value;
          if (
            node.key.name === "type" &&
            value.type === "Literal" &&
            /^(?!Closed$|RoundedRectangle$)[A-Z][a-z]/.test(value.value)
          )
            context.report({
              node: value,
              message: "Facts come from the server as choices; fill one in with job/filled.",
            });
        },
      }),
    },
    "may-comes-with-the-session": {
      create: (context) => ({
        BinaryExpression(node) {
          if (isRole(node.left) || isRole(node.right))
            context.report({ node, message: "What a role may do comes with the session: session/useMay." });
        },
      }),
    },
  },
};
