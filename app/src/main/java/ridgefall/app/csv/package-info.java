/** Files of values with commas between them, whatever they are of. */
package ridgefall.app.csv;
