/** Stock, price lists, and which part is taken for which job. */
package ridgefall.app.parts;
