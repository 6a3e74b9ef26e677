import js from "@eslint/js";
import jsxA11y from "eslint-plugin-jsx-a11y";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["dist", "src/api/schema.ts", "*.config.js"] },
  js.configs.recommended,
  ...tseslint.configs.strictTypeChecked,
  jsxA11y.flatConfigs.recommended,
  reactHooks.configs.flat.recommended,
  {
    languageOptions: { parserOptions: { project: "./tsconfig.app.json" } },
    rules: {
      "@typescript-eslint/restrict-template-expressions": ["error", { allowNumber: true }],
      "@typescript-eslint/no-confusing-void-expression": ["error", { ignoreArrowShorthand: true }],
    },
  },
  {
    // Rules of the job are the core's. A screen sends a choice it was given and asks the session what may be done.
    files: ["src/**/*.{ts,tsx}"],
    ignores: ["src/**/*.test.{ts,tsx}"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector:
            "ObjectExpression > Property[key.name='type'] > Literal[value=/^(?!Closed$|RoundedRectangle$)[A-Z][a-z]/]",
          message: "Facts come from the server as choices; fill one in with job/filled.",
        },
        {
          selector:
            "BinaryExpression > :matches(Identifier[name='role'], MemberExpression[property.name='role'])",
          message: "What a role may do comes with the session: session/useMay.",
        },
      ],
    },
  },
);
