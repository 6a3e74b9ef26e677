/** Runs of whatever station: what was measured while a clock ran, out and in. */
package ridgefall.app.run;
